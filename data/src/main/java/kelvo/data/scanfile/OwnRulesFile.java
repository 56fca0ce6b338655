package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.scanfile.ScanFile.ScanFileException;

/** Reads and writes the rules that the trader keeps or breaks, as docs/formats.md describes. */
final class OwnRulesFile {
  private OwnRulesFile() {}

  static List<String> parse(String name, String json) {
    JsonNode list = JsonText.read(name, json).path("rules");
    if (!list.isArray()) {
      throw new ScanFileException(name + ": expected a list \"rules\"", null);
    }
    List<String> rules = new ArrayList<>();
    for (JsonNode rule : list) {
      if (!rule.isTextual() || rule.asText().isBlank()) {
        throw new ScanFileException(
            name + ", rule " + (rules.size() + 1) + ": expected a sentence", null);
      }
      rules.add(rule.asText().strip());
    }
    return rules;
  }

  static String write(List<String> rules) {
    ObjectNode written = JsonText.begin();
    ArrayNode list = written.putArray("rules");
    rules.forEach(list::add);
    return JsonText.of(written);
  }
}
