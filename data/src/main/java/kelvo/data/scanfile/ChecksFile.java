package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import kelvo.check.CheckRule;
import kelvo.data.scanfile.ScanFile.ScanFileException;
import kelvo.refusal.RefusedException;
import kelvo.rule.Vocabulary;

/** Reads and writes the checks of the morning as JSON, as docs/formats.md describes. */
final class ChecksFile {
  private ChecksFile() {}

  static List<CheckRule> parse(String name, String json, Vocabulary vocabulary) {
    List<CheckRule> checks = new ArrayList<>();
    try {
      for (JsonKeys check : new JsonKeys(name, JsonText.read(name, json)).objects("checks")) {
        checks.add(
            CheckRule.of(check.text("name"), check.text("pass"), check.text("fail"), vocabulary));
      }
      return checks;
    } catch (RefusedException e) {
      throw ScanFileException.at(name + ", check " + (checks.size() + 1), e);
    }
  }

  static String write(List<CheckRule> checks) {
    ObjectNode written = JsonText.begin();
    ArrayNode list = written.putArray("checks");
    for (CheckRule check : checks) {
      list.addObject()
          .put("name", check.name())
          .put("pass", check.passSentence())
          .put("fail", check.failSentence());
    }
    return JsonText.of(written);
  }
}
