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

  static DayBook day(Handle handle, String day) {
    return new DayBook(
        list(handle, "select * from decision where day = ? order by id", day, DECISION),
        list(handle, "select * from level where day = ? order by id", day, LEVEL),
        list(handle, "select * from note where day = ? order by id", day, NOTE),
        list(handle, "select * from focus where day = ? order by id", day, FOCUS),
        list(handle, "select * from fill where day = ? order by at, id", day, FILL),
        List.of(),
        JournalRows.page(handle, day));
  }

  /** The fills of the days before one, by day. */
  static SortedMap<LocalDate, List<Fill>> fillsBefore(Handle handle, String day) {
    SortedMap<LocalDate, List<Fill>> fills = new TreeMap<>();
    handle
        .select("select * from fill where day < ? order by day, at, id", day)
        .map((row, context) -> Map.entry(row.getString("day"), FILL.map(row, context)))
        .forEach(
            fill ->
                fills
                    .computeIfAbsent(LocalDate.parse(fill.getKey()), d -> new ArrayList<>())
                    .add(fill.getValue()));
    return fills;
  }

  private static <T> List<T> list(Handle handle, String sql, String day, RowMapper<T> mapper) {
    return handle.select(sql, day).map(mapper).list();
  }
}
