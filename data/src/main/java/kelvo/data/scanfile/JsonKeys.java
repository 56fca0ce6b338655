package kelvo.data.scanfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeType;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import kelvo.data.scanfile.ScanFile.ScanFileException;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * An object of one of the trader's own files, whose keys hold what they should or are told with
 * what is allowed.
 */
final class JsonKeys {
  private static final int LONGEST = 60;
  private static final int VERSION = 1;

  private final String place;
  private final JsonNode object;

  /**
   * An object.
   *
   * @param place the file, and where in it, as in messages
   * @throws ScanFileException when it is none
   */
  JsonKeys(String place, JsonNode object) {
    this.place = place;
    this.object = object;
    if (!object.isObject()) {
      throw new ScanFileException(
          place + ": expected keys and values in braces, found " + shown(object), null);
    }
  }

  /** The object of a whole file, which says its version. */
  static JsonKeys ofFile(String name, String json) {
    JsonKeys file = new JsonKeys(name, JsonText.read(name, json));
    file.whole("kelvo", VERSION, VERSION, 0);
    return file;
  }

  /** Whether it has a key. */
  boolean has(String key) {
    return object.has(key);
  }

  /** A text; empty when there is no such key. */
  String text(String key) {
    return text(key, "");
  }

  /** A text. */
  String text(String key, String otherwise) {
    JsonNode found = object.get(key);
    if (found == null) {
      return otherwise;
    }
    if (!found.isTextual()) {
      throw wrong(key, "a text in quotes", found);
    }
    return found.asText();
  }

  /** Yes or no; no when there is no such key. */
  boolean yes(String key) {
    JsonNode found = object.get(key);
    if (found != null && !found.isBoolean()) {
      throw wrong(key, "true or false", found);
    }
    return found != null && found.asBoolean();
  }

  /** A whole number. A key that must be there has an {@code otherwise} that is not allowed. */
  int whole(String key, int least, int most, int otherwise) {
    JsonNode found = object.get(key);
    boolean isOne = found != null && found.isIntegralNumber() && found.canConvertToInt();
    int number = found == null ? otherwise : isOne ? found.asInt() : least - 1;
    if (number < least || number > most) {
      throw wrong(
          key,
          least == most ? Integer.toString(least) : "a whole number from " + least + " to " + most,
          found);
    }
    return number;
  }

  /** A list; empty when there is no such key. */
  List<JsonNode> list(String key) {
    JsonNode found = object.get(key);
    if (found == null) {
      return List.of();
    }
    if (!found.isArray()) {
      throw wrong(key, "a list in square brackets", found);
    }
    List<JsonNode> all = new ArrayList<>();
    found.forEach(all::add);
    return all;
  }

  /** A list of texts; empty when there is no such key. */
  List<String> texts(String key) {
    return texts(key, list(key));
  }

  /** Texts that stand in a list within a key. */
  List<String> texts(String key, List<JsonNode> list) {
    List<String> texts = new ArrayList<>();
    for (JsonNode one : list) {
      if (one.getNodeType() != JsonNodeType.STRING) {
        throw wrong(key, "texts in quotes", one);
      }
      texts.add(one.asText());
    }
    return texts;
  }

  /** The objects of a list; empty when there is no such key. */
  List<JsonKeys> objects(String key) {
    List<JsonKeys> all = new ArrayList<>();
    for (JsonNode one : list(key)) {
      all.add(new JsonKeys(place + ", " + key + " " + (all.size() + 1), one));
    }
    return all;
  }

  /** That a key holds what it may not. */
  ScanFileException wrong(String key, String expected, @Nullable JsonNode found) {
    return new ScanFileException(
        place
            + ", "
            + key
            + ": expected "
            + expected
            + ", found "
            + (found == null ? "nothing" : shown(found)),
        null);
  }

  /** That a key's text is not one that it may hold. */
  ScanFileException wrong(String key, RefusedException told) {
    return ScanFileException.at(place + ", " + key, told);
  }

  /** The keys that are none of those known. */
  List<String> unknown(List<String> known) {
    List<String> unknown = new ArrayList<>();
    for (Iterator<String> keys = object.fieldNames(); keys.hasNext(); ) {
      String key = keys.next();
      if (!known.contains(key)) {
        unknown.add(key);
      }
    }
    return unknown;
  }

  private static String shown(JsonNode node) {
    if (node.isMissingNode()) {
      return "nothing";
    }
    String text =
        node.isContainerNode()
            ? node.getNodeType().name().toLowerCase(Locale.ROOT).replace("array", "a list")
            : node.toString();
    String plain = text.replace("object", "keys and values");
    return plain.length() <= LONGEST ? plain : plain.substring(0, LONGEST - 1) + "…";
  }
}
