package kelvo.sim;

import java.time.LocalDate;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
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

  private static final List<InventedOrder> ORDERS =
      List.of(
          new InventedOrder("09:02:10", "TIDARC", FillSide.BUY, 600),
          new InventedOrder("09:04:30", "TIDARC", FillSide.BUY, 300),
          new InventedOrder("10:02:40", "TIDARC", FillSide.SELL, 500),
          new InventedOrder("10:19:10", "TIDARC", FillSide.SELL, 400),
          new InventedOrder("10:58:15", "KELPOR", FillSide.BUY, 800),
          new InventedOrder("11:31:00", "KELPOR", FillSide.SELL, 800),
          new InventedOrder("11:44:30", "MARKTA", FillSide.BUY, 100),
          new InventedOrder("12:21:45", "MARKTA", FillSide.SELL, 100),
          new InventedOrder("13:38:30", "GENSED", FillSide.SHORT, 700),
          new InventedOrder("15:24:00", "GENSED", FillSide.COVER, 700));

  private DemoTrader() {}

  /** The fills of the demo's own session. */
  static List<InventedFill> fills(
      LocalDate date, List<InventedStock> stocks, SessionEvents trades) {
    return ORDERS.stream().map(order -> order.filled(date, stocks, trades)).toList();
  }

  /** Enters what the trader had decided in the sessions of a market before its own, once. */
  public static void prepareRecord(Ledger ledger, DemoSize size, DataFolder data) {
    ExchangeCalendar calendar = new ExchangeCalendar();
    EarlierSessions earlier =
        new EarlierSessions(
            size, DemoFolder.SEED, calendar, InventedMarket.of(size, DemoFolder.SEED));
    for (LocalDate date : EarlierSessions.printedOf(size, calendar)) {
      if (ledger.day(date).decisions().isEmpty()) {
        TraderHabits.prepare(ledger, date, earlier.storiesOn(date), data.fills(date));
      }
    }
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
