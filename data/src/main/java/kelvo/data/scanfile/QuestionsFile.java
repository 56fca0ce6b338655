package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.scanfile.ScanFile.ScanFileException;
import kelvo.refusal.RefusedException;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.KeptQuestion;

/** Reads and writes the questions that the trader keeps by name, as docs/formats.md describes. */
final class QuestionsFile {
  private QuestionsFile() {}

  static List<KeptQuestion> parse(String name, String json) {
    List<KeptQuestion> questions = new ArrayList<>();
    for (JsonNode one : JsonKeys.ofFile(name, json).list("questions")) {
      String place = name + ", question " + (questions.size() + 1);
      JsonKeys keys = new JsonKeys(place, one);
      try {
        questions.add(
            new KeptQuestion(
                keys.text("name"),
                keys.text("scan"),
                keys.text("enter", "hit"),
                keys.text("after"),
                keys.whole("last", 0, Integer.MAX_VALUE, 0),
                direction(keys),
                Held.of(keys.text("held", Held.CLOSE.words()))));
      } catch (RefusedException e) {
        throw ScanFileException.at(place, e);
      }
    }
    return questions;
  }

  private static Direction direction(JsonKeys keys) {
    try {
      return Direction.of(keys.text("side", Direction.LONG.word()));
    } catch (RefusedException e) {
      throw keys.wrong("side", e);
    }
  }

  static String write(List<KeptQuestion> questions) {
    ObjectNode written = JsonText.begin();
    ArrayNode list = written.putArray("questions");
    for (KeptQuestion question : questions) {
      ObjectNode one = list.addObject();
      one.put("name", question.name());
      one.put("scan", question.scan());
      one.put("enter", question.when());
      if (!question.after().isEmpty()) {
        one.put("after", question.after());
      }
      if (question.last() > 0) {
        one.put("last", question.last());
      }
      one.put("side", question.direction().word());
      one.put("held", question.until().words());
    }
    return JsonText.of(written);
  }
}
