package kelvo.data.ledger;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.scan.Side;
import org.jdbi.v3.core.Handle;

/** Reads hits back. */
final class KeptHits {
  private KeptHits() {}

  static List<KeptHit> of(Handle handle, LocalDate day) {
    return handle
        .select("select * from hit where day = ? order by at, id", day.toString())
        .map(
            (row, context) -> {
              Map<String, Double> numbers = new HashMap<>();
              Map<String, String> words = new HashMap<>();
              FieldValuesJson.read(row.getString("field_values"), numbers, words);
              return new KeptHit(
                  day,
                  row.getLong("at"),
                  row.getString("scan"),
                  row.getString("scan_version"),
                  Side.valueOf(row.getString("side")),
                  row.getString("symbol"),
                  row.getString("trigger_words"),
                  row.getLong("price"),
                  numbers,
                  words);
            })
        .list();
  }
}
