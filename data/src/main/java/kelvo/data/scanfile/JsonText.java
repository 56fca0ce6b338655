package kelvo.data.scanfile;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
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
    } catch (StreamConstraintsException e) {
      throw new ScanFileException(
          name + ": expected JSON with at most a thousand brackets within each other", e);
    } catch (JsonProcessingException e) {
      JsonLocation at = e.getLocation();
      throw new ScanFileException(
          at == null
              ? name + ": expected JSON"
              : name
                  + ", line "
                  + at.getLineNr()
                  + ", character "
                  + at.getColumnNr()
                  + ": expected"
                  + " JSON",
          e);
    }
  }

  /**
   * Reads the text of a file.
   *
   * @throws ScanFileException when it cannot be read, or is no UTF-8
   */
  static String of(Path file) {
    try {
      return Files.readString(file);
    } catch (MalformedInputException e) {
      throw new ScanFileException(file.getFileName() + ": expected text in UTF-8", e);
    } catch (IOException e) {
      throw new ScanFileException(file.getFileName() + ": cannot be read; check the file", e);
    }
  }

  /**
   * A new text with what an old one had under keys that nobody knows.
   *
   * @param known the keys of the new one
   */
  static String keepingOthers(String fresh, Path old, List<String> known) {
    if (!Files.isRegularFile(old)) {
      return fresh;
    }
    try {
      JsonNode before = JSON.readTree(of(old));
      ObjectNode written = (ObjectNode) JSON.readTree(fresh);
      before
          .properties()
          .forEach(
              key -> {
                if (!known.contains(key.getKey())) {
                  written.set(key.getKey(), key.getValue());
                }
              });
      return of(written);
    } catch (JsonProcessingException | ScanFileException e) {
      return fresh;
    }
  }

  /** The name that a file gives its content; empty when it is no JSON. */
  static String nameIn(Path file) {
    try {
      return JSON.readTree(of(file)).path("name").asText();
    } catch (JsonProcessingException | ScanFileException e) {
      return "";
    }
  }

  /** Whether a file is there and holds JSON. */
  static boolean isReadable(Path file) {
    try {
      return Files.isRegularFile(file) && !JSON.readTree(of(file)).isMissingNode();
    } catch (JsonProcessingException | ScanFileException e) {
      return false;
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
