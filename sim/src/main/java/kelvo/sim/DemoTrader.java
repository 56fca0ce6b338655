package kelvo.sim;

import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import kelvo.data.ledger.Ledger;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Side;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.FillSide;

/**
 * A trader without a name, with usual faults: one good trade on the gapper, a late entry into the
 * stair steps, one trade with no hit behind it, a short of the fader, and the halted stock watched
 * but missed.
 */
public final class DemoTrader {
  /** When the trader's own preparation ends; the demo goes on from there. */
  public static final long PREPARED_AT = DayTime.of(8, 50);

  private static final long FEE_PER_SHARE = 50;

  private record Order(String time, String symbol, FillSide side, long shares) {}

  private static final List<Order> ORDERS =
      List.of(
          new Order("09:02:10", "TIDARC", FillSide.BUY, 600),
          new Order("09:04:30", "TIDARC", FillSide.BUY, 300),
          new Order("10:02:40", "TIDARC", FillSide.SELL, 500),
          new Order("10:19:10", "TIDARC", FillSide.SELL, 400),
          new Order("10:58:15", "KELPOR", FillSide.BUY, 800),
          new Order("11:31:00", "KELPOR", FillSide.SELL, 800),
          new Order("11:44:30", "MARKTA", FillSide.BUY, 100),
          new Order("12:21:45", "MARKTA", FillSide.SELL, 100),
          new Order("13:38:30", "GENSED", FillSide.SHORT, 700),
          new Order("15:24:00", "GENSED", FillSide.COVER, 700));

  private DemoTrader() {}

  static void writeFills(
      Path file, LocalDate date, List<InventedStock> stocks, SessionEvents trades) {
    DemoFolder.writeCsv(
        file,
        csv -> {
          csv.writeRecord(
              "time", "symbol", "side", "quantity", "price", "fee", "account", "order_id");
          int number = 0;
          for (Order order : ORDERS) {
            String at =
                date.atTime(LocalTime.parse(order.time()))
                    .atZone(DayTime.NEW_YORK)
                    .toOffsetDateTime()
                    .toString();
            csv.writeRecord(
                at,
                order.symbol(),
                order.side().word(),
                Long.toString(order.shares()),
                Price.exact(priceAt(order, stocks, trades)),
                Price.exact(order.shares() * FEE_PER_SHARE),
                "main",
                "K" + ++number);
          }
        });
  }

  private static long priceAt(Order order, List<InventedStock> stocks, SessionEvents trades) {
    int until = (int) (DayTime.parse(order.time()) / DayTime.MILLISECOND);
    int newest = -1;
    for (int i = 0; i < trades.size; i++) {
      if (trades.timesMs[i] <= until
          && stocks.get(trades.stocks[i]).symbol().equals(order.symbol())
          && (newest < 0 || trades.timesMs[i] >= trades.timesMs[newest])) {
        newest = i;
      }
    }
    return trades.firsts[newest];
  }

  /**
   * Enters what the trader had decided before the demo begins, unless the day has entries already.
   */
  public static void prepare(Ledger ledger, LocalDate day) {
    if (!ledger.day(day).decisions().isEmpty()) {
      return;
    }
    decide(
        ledger,
        day,
        "07:24",
        "TIDARC",
        Choice.KEEP,
        "news about the company, heavy volume",
        Side.UP,
        "at the open",
        "Over the premarket high, first pullback that holds.");
    decide(
        ledger,
        day,
        "07:31",
        "DESALQ",
        Choice.DROP,
        "offering, will be sold all day",
        Side.DOWN,
        "only watch",
        "");
    decide(
        ledger,
        day,
        "07:50",
        "ORBTOW",
        Choice.KEEP,
        "theme of four, leader",
        Side.UP,
        "later",
        "Only with the group.");
    decide(
        ledger,
        day,
        "08:20",
        "GENSED",
        Choice.KEEP,
        "partnership, room above",
        Side.DOWN,
        "later",
        "Short below VWAP after a lower high.");
    decide(
        ledger,
        day,
        "08:34",
        "KELPOR",
        Choice.KEEP,
        "thin, stepping up",
        Side.UP,
        "later",
        "Small size, above the last step.");
    decide(
        ledger,
        day,
        "08:47",
        "DENBOT",
        Choice.WATCH,
        "waits for an approval",
        Side.UP,
        "only watch",
        "");
    ledger.add(day, Level.standing("TIDARC", Price.of(8.20), LevelKind.BY_HAND, DayTime.of(8, 49)));
    ledger.add(day, Level.standing("TIDARC", Price.of(7.80), LevelKind.STOP, DayTime.of(8, 49)));
    ledger.add(day, Level.standing("GENSED", Price.of(12.60), LevelKind.STOP, DayTime.of(8, 49)));
    ledger.add(day, new FocusSpan("TIDARC", DayTime.of(7, 20), DayTime.of(7, 26)));
    ledger.add(day, new FocusSpan("ORBTOW", DayTime.of(7, 46), DayTime.of(7, 52)));
  }

  private static void decide(
      Ledger ledger,
      LocalDate day,
      String at,
      String symbol,
      Choice choice,
      String reason,
      Side side,
      String bucket,
      String plan) {
    ledger.add(day, new Decision(symbol, DayTime.parse(at), choice, reason, side, bucket, plan));
  }
}
