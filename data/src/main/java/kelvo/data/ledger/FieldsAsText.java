package kelvo.data.ledger;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Map;
import kelvo.field.Unit;

/** A hit's fields as older ledgers have them: one JSON object, unknown ones left out. */
final class FieldsAsText {
  private static final ObjectMapper JSON = new ObjectMapper();

  private FieldsAsText() {}

  /** Reads numbers, and words; {@link Unit#CLEAR} is an infinite number. */
  static void read(String json, Map<String, Double> numbers, Map<String, String> words) {
    try {
      JSON.readTree(json)
          .properties()
          .forEach(
              field -> {
                JsonNode value = field.getValue();
                if (value.isNumber()) {
                  numbers.put(field.getKey(), value.asDouble());
                } else if (value.asText().equals(Unit.CLEAR)) {
                  numbers.put(field.getKey(), Double.POSITIVE_INFINITY);
                } else {
                  words.put(field.getKey(), value.asText());
                }
              });
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("the fields of a hit cannot be read: " + json, e);
    }
  }
}
