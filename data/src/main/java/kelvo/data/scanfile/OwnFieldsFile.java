package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.Consumer;
import kelvo.formula.OwnField;
import kelvo.refusal.RefusedException;
import kelvo.rule.Vocabulary;

/** Reads and writes the trader's own fields, as docs/formats.md describes. */
final class OwnFieldsFile {
  private OwnFieldsFile() {}

  /**
   * Adds the fields of a file to a vocabulary.
   *
   * @param wrong takes a sentence about each that cannot be read; the others are
   * @throws ScanFile.ScanFileException when the text is no JSON
   */
  static void read(String name, String json, Vocabulary vocabulary, Consumer<String> wrong) {
    int number = 0;
    for (JsonKeys field : new JsonKeys(name, JsonText.read(name, json)).objects("fields")) {
      number++;
      try {
        vocabulary.putOwn(field.text("name"), field.text("formula"));
      } catch (RefusedException e) {
        wrong.accept(
            name + ", field " + number + ": " + e.getMessage() + "; the field was left out");
      }
    }
  }

  static String write(List<OwnField> fields) {
    ObjectNode root = JsonText.begin();
    ArrayNode all = root.putArray("fields");
    fields.forEach(
        field -> all.addObject().put("name", field.name()).put("formula", field.formula()));
    return JsonText.of(root);
  }
}
