package kelvo.data.report;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.List;
import kelvo.field.Unit;
import kelvo.review.DayReview;
import kelvo.review.Horizon;
import kelvo.review.Outcome;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.review.ScanTotals;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.Trade;

/** A review as the tables of docs/formats.md. Unknown numbers are empty. */
public final class ReviewTables {
  public static final List<String> TRADE_COLUMNS =
      List.of(
          "account",
          "symbol",
          "side",
          "entry_time",
          "entry_price",
          "exit_time",
          "exit_price",
          "shares",
          "fees",
          "result",
          "verdict",
          "lateness_s",
          "chase_pct",
          "chase_money",
          "planned",
          "captured_share",
          "r",
          "scan",
          "best_pct",
          "worst_pct",
          "spread_cost",
          "volume_share",
          "alert",
          "catalyst",
          "tags");
  public static final List<String> MOVE_COLUMNS =
      List.of(
          "symbol",
          "side",
          "t0",
          "p0",
          "t1",
          "hits",
          "scans",
          "verdict",
          "ran",
          "gone_share",
          "best_5m",
          "worst_5m",
          "best_30m",
          "worst_30m",
          "best_close",
          "worst_close",
          "best_15m",
          "worst_15m",
          "best_60m",
          "worst_60m");
  public static final List<String> SCAN_COLUMNS =
      List.of(
          "scan",
          "hits",
          "moves",
          "ran",
          "ran_low",
          "ran_high",
          "median_gone_share",
          "median_best_30m",
          "hits_per_hour",
          "trades",
          "net");

  private ReviewTables() {}

  public static List<List<String>> trades(DayReview review, LocalDate session) {
    return review.trades().stream().map(reviewed -> trade(reviewed, session)).toList();
  }

  /** The time of an entry, with its date when that was before the session. */
  private static String entry(Trade trade, LocalDate session) {
    long day = Math.floorDiv(trade.entryAt(), DayTime.DAY);
    String time = DayTime.millis(Math.floorMod(trade.entryAt(), DayTime.DAY));
    return day == 0 ? time : session.plusDays(day) + "T" + time;
  }

  public static String money(BigDecimal dollars) {
    BigDecimal rounded = dollars.setScale(6, RoundingMode.HALF_EVEN).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0).toPlainString() : rounded.toPlainString();
  }

  public static List<String> trade(ReviewedTrade reviewed, LocalDate session) {
    Trade trade = reviewed.trade();
    return List.of(
        trade.account(),
        trade.symbol(),
        trade.side().word(),
        entry(trade, session),
        number(trade.entryPrice()),
        trade.closed() ? DayTime.millis(trade.exitAt()) : "",
        number(trade.exitPrice()),
        trade.shares().toPlainString(),
        money(trade.fees()),
        money(trade.result()),
        reviewed.verdict().words(),
        reviewed.move() == null ? "" : number(reviewed.lateness() / (double) DayTime.SECOND),
        number(reviewed.chasePercent()),
        number(reviewed.chaseMoney()),
        reviewed.planned() ? "yes" : "no",
        number(reviewed.capturedShare()),
        number(reviewed.r()),
        reviewed.scan(),
        number(reviewed.bestPercent()),
        number(reviewed.worstPercent()),
        number(reviewed.context().spreadCost()),
        number(reviewed.context().volumeShare()),
        reviewed.context().alert(),
        reviewed.context().catalyst(),
        String.join("; ", reviewed.context().tags()));
  }

  public static List<List<String>> moves(DayReview review) {
    return review.moves().stream().map(ReviewTables::move).toList();
  }

  private static List<String> move(ReviewedMove reviewed) {
    var move = reviewed.move();
    Outcome outcome = reviewed.outcome();
    String ran =
        outcome.ran() == Outcome.Ran.UNKNOWN ? "" : outcome.ran() == Outcome.Ran.YES ? "yes" : "no";
    return List.of(
        move.symbol(),
        move.side().word(),
        DayTime.millis(move.start()),
        Price.exact(move.startPrice()),
        DayTime.millis(move.end()),
        Integer.toString(move.hits().size()),
        String.join("; ", move.scans()),
        reviewed.verdict().word(),
        ran,
        number(outcome.goneShare()),
        number(outcome.over(Horizon.FIVE_MINUTES).best()),
        number(outcome.over(Horizon.FIVE_MINUTES).worst()),
        number(outcome.halfHour().best()),
        number(outcome.halfHour().worst()),
        number(outcome.over(Horizon.TO_CLOSE).best()),
        number(outcome.over(Horizon.TO_CLOSE).worst()),
        number(outcome.over(Horizon.QUARTER_HOUR).best()),
        number(outcome.over(Horizon.QUARTER_HOUR).worst()),
        number(outcome.over(Horizon.HOUR).best()),
        number(outcome.over(Horizon.HOUR).worst()));
  }

  public static List<List<String>> scans(DayReview review) {
    return scans(review.scans());
  }

  public static List<List<String>> scans(List<ScanTotals> scans) {
    return scans.stream().map(ReviewTables::scan).toList();
  }

  private static List<String> scan(ScanTotals totals) {
    return List.of(
        totals.scan(),
        Integer.toString(totals.hits()),
        Integer.toString(totals.moves()),
        Integer.toString(totals.ran()),
        number(totals.interval().low()),
        number(totals.interval().high()),
        number(totals.medianGone()),
        number(totals.medianBest()),
        number(totals.hitsPerHour()),
        Integer.toString(totals.trades()),
        number(totals.net()));
  }

  public static String number(double value) {
    return Unit.COUNT.plain(value);
  }
}
