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

  static List<KeptHit> of(Handle handle, LocalDate day, UnknownEntries unknown) {
    Map<Long, KeptFields> lists = new HashMap<>();
    return unknown.known(
        handle.select(
            "select hit.id as "
                + UnknownEntries.ROW
                + ", hit.*, hit_source.*, hit_facts.symbol, hit_facts.packed as settled,"
                + " hit_facts.fields as list, hit_fields.fields from hit"
                + " join hit_source on hit_source.id = source"
                + " join hit_facts on hit_facts.id = facts"
                + " join hit_fields on hit_fields.id = hit_facts.fields"
                + " where hit.day = ? order by at, hit.id",
            day.toEpochDay()),
        "hit",
        (row, context) -> {
          String fields = row.getString("fields");
          KeptFields kept =
              lists.computeIfAbsent(row.getLong("list"), id -> KeptFields.read(fields));
          Map<String, Double> numbers = new HashMap<>();
          Map<String, String> words = new HashMap<>();
          kept.unpack(row.getBytes("settled"), row.getBytes("packed"), numbers, words);
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
        });
  }
}
