package kelvo.data.ledger;

import java.time.DateTimeException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListMap;
import org.jdbi.v3.core.mapper.RowMapper;
import org.jdbi.v3.core.statement.Query;

/**
 * Entries of a ledger that this version of Kelvo does not understand, such as a choice that came
 * later: they are left out of what is read, stay in the file and are told. Thread-safe.
 */
final class UnknownEntries {
  /** The column of a query that numbers the rows of its table. */
  static final String ROW = "entry_row";

  private final Map<String, Set<Long>> byTable = new ConcurrentSkipListMap<>();

  /**
   * The rows that can be understood, in their order.
   *
   * @param query has the column {@link #ROW}
   */
  <T> List<T> known(Query query, String table, RowMapper<T> mapper) {
    return query
        .map(
            (row, context) -> {
              try {
                return Optional.of(mapper.map(row, context));
              } catch (IllegalArgumentException | DateTimeException e) {
                byTable
                    .computeIfAbsent(table, t -> ConcurrentHashMap.newKeySet())
                    .add(row.getLong(ROW));
                return Optional.<T>empty();
              }
            })
        .stream()
        .flatMap(Optional::stream)
        .toList();
  }

  /** Everything from a table with the numbers of its rows, and what the query ends with. */
  static String all(String table, String rest) {
    return "select rowid as " + ROW + ", * from " + table + " " + rest;
  }

  /** One sentence for each table that has some. */
  List<String> sentences() {
    return byTable.entrySet().stream()
        .map(
            table ->
                "ledger: "
                    + (table.getValue().size() == 1
                        ? "1 entry of the table " + table.getKey() + " is"
                        : table.getValue().size()
                            + " entries of the table "
                            + table.getKey()
                            + " are")
                    + " not known to this Kelvo; left out, and kept in the file")
        .toList();
  }
}
