package kelvo.data.ledger;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import kelvo.scan.FieldValues;

/** Writes a hit's fields as one JSON object, field by field; unknown ones are left out. */
final class FieldValuesJson {
  private static final ObjectMapper JSON = new ObjectMapper();

  private FieldValuesJson() {}

  static String write(FieldValues values) {
    ObjectNode object = JSON.createObjectNode();
    for (int i = 0; i < values.fields().size(); i++) {
      if (!Double.isNaN(values.at(i))) {
        object.put(values.fields().get(i).words(), values.at(i));
      }
    }
    return object.toString();
  }
}
