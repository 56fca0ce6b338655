package kelvo.data.ledger;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;
import kelvo.field.FieldValues;
import kelvo.field.Unit;

/** Writes a hit's fields as one JSON object, field by field; unknown ones are left out. */
final class FieldValuesJson {
  private static final ObjectMapper JSON = new ObjectMapper();

  private FieldValuesJson() {}

  static String write(FieldValues values) {
    ObjectNode object = JSON.createObjectNode();
    for (int i = 0; i < values.fields().size(); i++) {
      double value = values.at(i);
      String words = values.fields().get(i).words();
      if (Double.isInfinite(value)) {
        object.put(words, Unit.CLEAR);
      } else if (!Double.isNaN(value)) {
        object.put(words, value);
      }
    }
    values.words().forEach(object::put);
    return object.toString();
  }

  /** Reads them back: numbers, and words; {@link Unit#CLEAR} is an infinite number. */
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
