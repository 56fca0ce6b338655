package kelvo.data.ledger;

import java.math.BigDecimal;
import java.util.List;
import kelvo.practice.Instruction;
import kelvo.practice.PaperBroker;
import kelvo.practice.PaperOrder;
import kelvo.practice.PracticeDay;
import kelvo.practice.Terms;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.mapper.RowMapper;
import org.jspecify.annotations.Nullable;

/** Writes and reads what was done on paper in a session. */
final class PracticeRows {
  private static final String CANCEL = "cancel";

  /** The words that say by which terms an order was given, or that it was taken back. */
  static final List<String> TERMS = List.of("market", "limit", "stop", "stop limit", CANCEL);

  private static final RowMapper<Instruction> INSTRUCTION =
      (row, context) -> {
        long at = row.getLong("at");
        long id = row.getLong("order_id");
        String terms = row.getString("terms");
        if (terms.equals(CANCEL)) {
          return new Instruction.Cancel(at, id);
        }
        long stop = row.getLong("stop");
        return new Instruction.Place(
            at,
            new PaperOrder(
                id,
                row.getString("symbol"),
                row.getInt("way"),
                row.getLong("shares"),
                terms(terms, row.getLong("price"), row.getLong("limit_price")),
                stop == 0 ? null : new PaperOrder.Exits(stop, row.getLong("target"))));
      };
  private static final RowMapper<Fill> FILL =
      (row, context) ->
          new Fill(
              row.getLong("at"),
              row.getString("symbol"),
              FillSide.valueOf(row.getString("side")),
              new BigDecimal(row.getString("quantity")),
              new BigDecimal(row.getString("price")),
              BigDecimal.ZERO,
              PaperBroker.ACCOUNT,
              row.getString("order_id"));

  private PracticeRows() {}

  private static Terms terms(String word, long price, long limit) {
    return switch (word) {
      case "limit" -> new Terms.Limit(price);
      case "stop" -> new Terms.Stop(price);
      case "stop limit" -> new Terms.StopLimit(price, limit);
      case "market" -> new Terms.Market();
      default -> throw new IllegalArgumentException("no terms of an order: " + word);
    };
  }

  /** Writes an instruction at its place; those from there on are forgotten. */
  static void write(Handle handle, String day, int place, Instruction instruction) {
    handle.execute("delete from practice_order where day = ? and place >= ?", day, place);
    switch (instruction) {
      case Instruction.Cancel cancel ->
          write(handle, day, place, cancel.at(), cancel.order(), "", 0, 0, CANCEL, 0, 0, null);
      case Instruction.Place placed -> {
        PaperOrder order = placed.order();
        switch (order.terms()) {
          case Terms.Market market -> write(handle, day, place, placed, "market", 0, 0);
          case Terms.Limit limit -> write(handle, day, place, placed, "limit", limit.price(), 0);
          case Terms.Stop stop -> write(handle, day, place, placed, "stop", stop.price(), 0);
          case Terms.StopLimit both ->
              write(handle, day, place, placed, "stop limit", both.stop(), both.limit());
        }
      }
    }
  }

  private static void write(
      Handle handle,
      String day,
      int place,
      Instruction.Place placed,
      String terms,
      long price,
      long limit) {
    PaperOrder order = placed.order();
    write(
        handle,
        day,
        place,
        placed.at(),
        order.id(),
        order.symbol(),
        order.way(),
        order.shares(),
        terms,
        price,
        limit,
        order.exits());
  }

  private static void write(
      Handle handle,
      String day,
      int place,
      long at,
      long order,
      String symbol,
      int way,
      long shares,
      String terms,
      long price,
      long limit,
      PaperOrder.@Nullable Exits exits) {
    handle.execute(
        "insert into practice_order(day, place, at, order_id, symbol, way, shares, terms, price, limit_price, stop, target) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        day,
        place,
        at,
        order,
        symbol,
        way,
        shares,
        terms,
        price,
        limit,
        exits == null ? 0 : exits.stop(),
        exits == null ? 0 : exits.target());
  }

  /** Writes the fills of a day in place of those before: an order that came since changes them. */
  static void write(Handle handle, String day, List<Fill> fills) {
    handle.execute("delete from practice_fill where day = ?", day);
    for (int place = 0; place < fills.size(); place++) {
      Fill fill = fills.get(place);
      handle.execute(
          "insert into practice_fill(day, place, at, symbol, side, quantity, price, order_id) values (?, ?, ?, ?, ?, ?, ?, ?)",
          day,
          place,
          fill.at(),
          fill.symbol(),
          fill.side().name(),
          fill.quantity().toPlainString(),
          fill.price().toPlainString(),
          fill.orderId());
    }
  }

  static PracticeDay day(Handle handle, String day, UnknownEntries unknown) {
    return new PracticeDay(
        list(handle, "practice_order", day, INSTRUCTION, unknown),
        list(handle, "practice_fill", day, FILL, unknown),
        DrillRows.all(handle, unknown));
  }

  private static <T> List<T> list(
      Handle handle, String table, String day, RowMapper<T> mapper, UnknownEntries unknown) {
    return unknown.known(
        handle.select(UnknownEntries.all(table, "where day = ? order by place"), day),
        table,
        mapper);
  }
}
