package kelvo.data.ledger;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import kelvo.field.Unit;
import kelvo.field.FieldValues;

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
}
