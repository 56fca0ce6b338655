package kelvo.data.ledger;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jspecify.annotations.Nullable;

/**
 * The fifth step of the ledger's tables: hits that had every field as text become packed ones. The
 * fields of all hits of a day are packed in one order.
 */
final class PackedHits implements JavaMigration {
  /** The step, after which no copy of an older file is made any more. */
  static final MigrationVersion VERSION = MigrationVersion.fromVersion("5");

  private static final List<String> TABLES =
      List.of(
          "alter table hit rename to hit_as_text",
          "create table hit_fields (id integer primary key, fields text not null unique)",
          "create table hit_source (id integer primary key, scan text not null,"
              + " scan_version text not null, side text not null, trigger_words text not null,"
              + " unique (scan, scan_version, side, trigger_words))",
          "create table hit_facts (id integer primary key, day integer not null,"
              + " symbol text not null, fields integer not null, packed blob not null,"
              + " unique (day, symbol, fields, packed))",
          "create table hit (id integer primary key, day integer not null, at integer not null,"
              + " source integer not null, facts integer not null, price integer not null,"
              + " packed blob not null, unique (day, at, source, facts))");

  @Override
  public void migrate(Context context) throws Exception {
    try (Statement statement = context.getConnection().createStatement()) {
      for (String table : TABLES) {
        statement.execute(table);
      }
    }
    Jdbi.create(context.getConnection()).useHandle(PackedHits::pack);
  }

  private static void pack(Handle handle) {
    handle
        .select("select distinct day from hit_as_text order by day")
        .mapTo(String.class)
        .list()
        .forEach(day -> pack(handle, LocalDate.parse(day)));
    handle.execute("drop table hit_as_text");
  }

  private static void pack(Handle handle, LocalDate day) {
    TreeSet<String> numbers = new TreeSet<>();
    TreeSet<String> words = new TreeSet<>();
    each(
        handle,
        day,
        (row, ownNumbers, ownWords) -> {
          numbers.addAll(ownNumbers.keySet());
          words.addAll(ownWords.keySet());
        });
    KeptFields fields =
        new KeptFields(List.of(), List.copyOf(numbers), List.of(), List.copyOf(words));
    long list = HitRows.idOf(handle, "hit_fields", "fields", fields.text());
    byte[] nothing = {};
    each(
        handle,
        day,
        (row, ownNumbers, ownWords) ->
            HitRows.insert(
                handle,
                day,
                row.getLong("at"),
                HitRows.idOf(
                    handle,
                    "hit_source",
                    "scan, scan_version, side, trigger_words",
                    row.getString("scan"),
                    row.getString("scan_version"),
                    row.getString("side"),
                    row.getString("trigger_words")),
                HitRows.factsId(handle, day, row.getString("symbol"), list, nothing),
                row.getLong("price"),
                KeptFields.packed(
                    PackedNumbers.pack(
                        fields.numbers().size(),
                        i -> ownNumbers.getOrDefault(fields.numbers().get(i), Double.NaN)),
                    fields.words(),
                    ownWords)));
  }

  private interface EachHit {
    void take(ResultSet row, Map<String, Double> numbers, Map<String, String> words)
        throws java.sql.SQLException;
  }

  private static void each(Handle handle, LocalDate day, EachHit taker) {
    try (PreparedStatement select =
        handle
            .getConnection()
            .prepareStatement("select * from hit_as_text where day = ? order by id")) {
      select.setString(1, day.toString());
      try (ResultSet rows = select.executeQuery()) {
        while (rows.next()) {
          Map<String, Double> numbers = new HashMap<>();
          Map<String, String> words = new HashMap<>();
          FieldsAsText.read(rows.getString("field_values"), numbers, words);
          taker.take(rows, numbers, words);
        }
      }
    } catch (java.sql.SQLException e) {
      throw new IllegalStateException("the hits of " + day + " cannot be packed", e);
    }
  }

  @Override
  public MigrationVersion getVersion() {
    return VERSION;
  }

  @Override
  public String getDescription() {
    return "packed hits";
  }

  @Override
  public @Nullable Integer getChecksum() {
    return null;
  }

  @Override
  public boolean canExecuteInTransaction() {
    return true;
  }
}
