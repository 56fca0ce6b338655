package kelvo.data.ledger;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jdbi.v3.core.Handle;

/** Hits that were read out of a ledger, as text and back into one, with the fields of each. */
final class UnpackedHits {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final String NUMBERS = "numbers";
  private static final String WORDS = "words";

  private UnpackedHits() {}

  /** The fields as one JSON object; numbers that JSON does not have are texts. */
  static String text(KeptHit hit) {
    ObjectNode fields = JSON.createObjectNode();
    ObjectNode numbers = fields.putObject(NUMBERS);
    new TreeMap<>(hit.numbers())
        .forEach(
            (name, value) -> {
              if (Double.isFinite(value)) {
                numbers.put(name, value);
              } else {
                numbers.put(name, Double.toString(value));
              }
            });
    ObjectNode words = fields.putObject(WORDS);
    new TreeMap<>(hit.words()).forEach(words::put);
    return fields.toString();
  }

  /** Reads what {@link #text} wrote. */
  static void read(String text, Map<String, Double> numbers, Map<String, String> words)
      throws JsonProcessingException {
    JsonNode fields = JSON.readTree(text);
    fields
        .path(NUMBERS)
        .properties()
        .forEach(
            field -> numbers.put(field.getKey(), Double.parseDouble(field.getValue().asText())));
    fields
        .path(WORDS)
        .properties()
        .forEach(field -> words.put(field.getKey(), field.getValue().asText()));
  }

  /** Adds a hit unless it is there; says whether it was added. */
  static boolean insert(Handle handle, KeptHit hit) {
    List<String> names = new ArrayList<>(new TreeSet<>(hit.numbers().keySet()));
    KeptFields fields =
        new KeptFields(
            List.of(), names, List.of(), List.copyOf(new TreeSet<>(hit.words().keySet())));
    long list = HitRows.idOf(handle, "hit_fields", "fields", fields.text());
    long source =
        HitRows.idOf(
            handle,
            "hit_source",
            "scan, scan_version, side, trigger_words",
            hit.scan(),
            hit.version(),
            hit.side().name(),
            hit.trigger());
    return HitRows.insert(
        handle,
        hit.day(),
        hit.at(),
        source,
        HitRows.factsId(handle, hit.day(), hit.symbol(), list, new byte[0]),
        hit.price(),
        KeptFields.packed(
            PackedNumbers.pack(names.size(), i -> hit.numbers().get(names.get(i))),
            fields.words(),
            hit.words()));
  }
}
