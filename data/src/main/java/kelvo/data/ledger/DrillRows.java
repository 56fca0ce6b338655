package kelvo.data.ledger;

import java.time.LocalDate;
import java.util.List;
import kelvo.practice.DrillCall;
import kelvo.practice.DrillScore;
import kelvo.practice.KeptCall;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.mapper.RowMapper;

/** The calls of drills as rows. */
final class DrillRows {
  private static final RowMapper<KeptCall> CALL =
      (row, context) ->
          new KeptCall(
              LocalDate.parse(row.getString("day")),
              row.getString("symbol"),
              row.getLong("at"),
              row.getLong("entered_at"),
              number(row.getString("entry")),
              number(row.getString("stop")),
              new DrillScore(
                  DrillCall.valueOf(row.getString("call")),
                  number(row.getString("result")),
                  number(row.getString("multiple")),
                  row.getInt("stopped") == 1,
                  number(row.getString("by_scan")),
                  row.getLong("exit_at"),
                  number(row.getString("exit_price"))));

  private DrillRows() {}

  private static double number(String text) {
    return text.isEmpty() ? Double.NaN : Double.parseDouble(text);
  }

  private static String text(double number) {
    return Double.isNaN(number) ? "" : Double.toString(number);
  }

  static void write(Handle handle, KeptCall call) {
    DrillScore score = call.score();
    handle.execute(
        "insert into drill_call(day, symbol, at, entered_at, entry, call, stop, exit_at, exit_price, result, multiple, stopped, by_scan)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        call.date().toString(),
        call.symbol(),
        call.at(),
        call.enteredAt(),
        text(call.entry()),
        score.call().name(),
        text(call.stop()),
        score.exitAt(),
        text(score.exit()),
        text(score.result()),
        text(score.multiple()),
        score.stopped() ? 1 : 0,
        text(score.byScan()));
  }

  /** All calls in the order in which they were made. */
  static List<KeptCall> all(Handle handle, UnknownEntries unknown) {
    return unknown.known(
        handle.select(UnknownEntries.all("drill_call", "order by id")), "drill_call", CALL);
  }
}
