package kelvo.data.ledger;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import kelvo.hit.Hit;
import org.jdbi.v3.core.Handle;
import org.jspecify.annotations.Nullable;

/**
 * Writes hits, each once: what is there already is known and not packed again. What many hits share
 * (their fields' names, their scan and trigger, what stays the same of a security) is kept once.
 * Only for the thread that writes.
 */
final class HitRows {
  private final Map<LocalDate, Set<Key>> there = new HashMap<>();
  private final Map<String, Long> ids = new HashMap<>();
  private final Map<KeptFields, Long> lists = new HashMap<>();

  /** What the hits of one program keep is nearly always what the one before kept. */
  private @Nullable KeptFields last;

  private record Key(long at, String scan, String symbol, String trigger) {}

  /** What was known may not have been written after all. */
  void forget() {
    there.clear();
    ids.clear();
    lists.clear();
  }

  void add(Handle handle, LocalDate day, Hit hit) {
    Set<Key> known = there.computeIfAbsent(day, d -> kept(handle, d));
    if (known.add(new Key(hit.at(), hit.scan(), hit.symbol(), hit.trigger().words()))) {
      insert(handle, day, hit);
    }
  }

  private static Set<Key> kept(Handle handle, LocalDate day) {
    return new HashSet<>(
        handle
            .select(
                "select at, scan, symbol, trigger_words from hit"
                    + " join hit_source on hit_source.id = source join hit_facts on hit_facts.id = facts"
                    + " where hit.day = ?",
                day.toEpochDay())
            .map(
                (row, context) ->
                    new Key(row.getLong(1), row.getString(2), row.getString(3), row.getString(4)))
            .list());
  }

  private void insert(Handle handle, LocalDate day, Hit hit) {
    KeptFields fields =
        last != null && last.areOf(hit.fields()) ? last : KeptFields.of(hit.fields());
    last = fields;
    long list = lists.computeIfAbsent(fields, f -> id(handle, "hit_fields", "fields", f.text()));
    long source =
        id(
            handle,
            "hit_source",
            "scan, scan_version, side, trigger_words",
            hit.scan(),
            hit.version(),
            hit.side().name(),
            hit.trigger().words());
    long facts = facts(handle, day, hit, fields, list);
    insert(handle, day, hit.at(), source, facts, hit.price(), fields.pack(hit.fields()));
  }

  private long facts(Handle handle, LocalDate day, Hit hit, KeptFields fields, long list) {
    byte[] settled = fields.packSettled(hit.fields());
    String key = "facts " + day + " " + hit.symbol() + " " + list + " " + hex(settled);
    return ids.computeIfAbsent(key, k -> factsId(handle, day, hit.symbol(), list, settled));
  }

  private static String hex(byte[] bytes) {
    return java.util.HexFormat.of().formatHex(bytes);
  }

  /** Adds a hit unless it is there; says whether it was added. */
  static boolean insert(
      Handle handle, LocalDate day, long at, long source, long facts, long price, byte[] packed) {
    return handle.execute(
            "insert or ignore into hit(day, at, source, facts, price, packed) values (?, ?, ?, ?, ?, ?)",
            day.toEpochDay(),
            at,
            source,
            facts,
            price,
            packed)
        == 1;
  }

  static long factsId(Handle handle, LocalDate day, String symbol, long list, byte[] settled) {
    handle.execute(
        "insert or ignore into hit_facts(day, symbol, fields, packed) values (?, ?, ?, ?)",
        day.toEpochDay(),
        symbol,
        list,
        settled);
    return handle
        .select(
            "select id from hit_facts where day = ? and symbol = ? and fields = ? and packed = ?",
            day.toEpochDay(),
            symbol,
            list,
            settled)
        .mapTo(Long.class)
        .one();
  }

  /** The id of a row of texts, which is made when there is none. */
  private long id(Handle handle, String table, String columns, String... texts) {
    return ids.computeIfAbsent(
        table + " " + String.join("\n", texts), key -> idOf(handle, table, columns, texts));
  }

  static long idOf(Handle handle, String table, String columns, String... texts) {
    String places = "?" + ", ?".repeat(texts.length - 1);
    handle.execute(
        "insert or ignore into " + table + "(" + columns + ") values (" + places + ")",
        (Object[]) texts);
    return handle
        .select(
            "select id from " + table + " where (" + columns + ") = (" + places + ")",
            (Object[]) texts)
        .mapTo(Long.class)
        .one();
  }
}
