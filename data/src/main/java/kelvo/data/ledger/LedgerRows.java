package kelvo.data.ledger;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.journal.Note;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Side;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.mapper.RowMapper;

/** Reads a day's rows, in the order in which they were written. */
final class LedgerRows {
  private static final RowMapper<Decision> DECISION =
      (row, context) ->
          new Decision(
              row.getString("symbol"),
              row.getLong("at"),
              Choice.valueOf(row.getString("choice")),
              row.getString("reason"),
              Side.valueOf(row.getString("side")),
              row.getString("bucket"),
              row.getString("plan"));
  private static final RowMapper<Level> LEVEL =
      (row, context) ->
          new Level(
              row.getString("symbol"),
              row.getLong("price"),
              LevelKind.valueOf(row.getString("kind")),
              row.getLong("set_at"),
              row.getLong("removed_at"),
              row.getDouble("rise"));
  private static final RowMapper<Note> NOTE =
      (row, context) -> new Note(row.getString("symbol"), row.getLong("at"), row.getString("text"));
  private static final RowMapper<FocusSpan> FOCUS =
      (row, context) ->
          new FocusSpan(row.getString("symbol"), row.getLong("from_at"), row.getLong("to_at"));
  private static final RowMapper<Fill> FILL =
      (row, context) ->
          new Fill(
              row.getLong("at"),
              row.getString("symbol"),
              FillSide.valueOf(row.getString("side")),
              new BigDecimal(row.getString("quantity")),
              new BigDecimal(row.getString("price")),
              new BigDecimal(row.getString("fee")),
              row.getString("account"),
              row.getString("order_id"));

  private LedgerRows() {}

  static DayBook day(Handle handle, String day, UnknownEntries unknown) {
    return new DayBook(
        list(handle, "decision", "id", day, DECISION, unknown),
        list(handle, "level", "id", day, LEVEL, unknown),
        list(handle, "note", "id", day, NOTE, unknown),
        list(handle, "focus", "id", day, FOCUS, unknown),
        list(handle, "fill", "at, id", day, FILL, unknown),
        List.of(),
        JournalRows.page(handle, day, unknown));
  }

  /** The fills of the days before one, by day. */
  static SortedMap<LocalDate, List<Fill>> fillsBefore(
      Handle handle, String day, UnknownEntries unknown) {
    SortedMap<LocalDate, List<Fill>> fills = new TreeMap<>();
    unknown
        .known(
            handle.select(UnknownEntries.all("fill", "where day < ? order by day, at, id"), day),
            "fill",
            (row, context) ->
                Map.entry(LocalDate.parse(row.getString("day")), FILL.map(row, context)))
        .forEach(
            fill ->
                fills.computeIfAbsent(fill.getKey(), d -> new ArrayList<>()).add(fill.getValue()));
    return fills;
  }

  private static <T> List<T> list(
      Handle handle,
      String table,
      String order,
      String day,
      RowMapper<T> mapper,
      UnknownEntries unknown) {
    return unknown.known(
        handle.select(UnknownEntries.all(table, "where day = ? order by " + order), day),
        table,
        mapper);
  }
}
