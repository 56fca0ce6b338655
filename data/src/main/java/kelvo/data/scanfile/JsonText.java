package kelvo.data.scanfile;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import kelvo.data.scanfile.ScanFile.ScanFileException;

/** The trader's own files as JSON text: the one place that reads and makes it. */
final class JsonText {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int VERSION = 1;

  private JsonText() {}

  /**
   * Reads a text; {@code name} stands for the file in messages.
   *
   * @throws ScanFileException when it is no JSON
   */
  static JsonNode read(String name, String text) {
    try {
      return JSON.readTree(text);
    } catch (JsonProcessingException e) {
      throw new ScanFileException(
          name
              + ", line "
              + e.getLocation().getLineNr()
              + ": expected JSON; "
              + e.getOriginalMessage(),
          e);
    }
  }

  /** The name that a text gives itself; empty when it is no JSON. */
  static String nameIn(String text) {
    try {
      return JSON.readTree(text).path("name").asText();
    } catch (JsonProcessingException e) {
      return "";
    }
  }

  /** A text to be filled, of the format's version. */
  static ObjectNode begin() {
    return JSON.createObjectNode().put("kelvo", VERSION);
  }

  /** The text of what was filled. */
  static String of(ObjectNode filled) {
    return filled.toPrettyString() + "\n";
  }
}
