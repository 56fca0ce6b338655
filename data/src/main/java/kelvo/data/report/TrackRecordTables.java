package kelvo.data.report;

import java.util.ArrayList;
import java.util.List;
import kelvo.review.TradeGroup;
import kelvo.review.TradeGrouping;
import kelvo.review.TradeTotals;
import kelvo.trackrecord.EquityPoint;
import kelvo.trackrecord.PastReview;
import kelvo.trackrecord.ResultRange;
import kelvo.trackrecord.TrackRecord;

/** A track record as the tables of docs/formats.md. Unknown numbers are empty. */
public final class TrackRecordTables {
  public static final List<String> SESSION_COLUMNS =
      List.of("date", "trades", "wins", "losses", "net", "fees", "moves", "ran", "hits");
  public static final List<String> GROUP_COLUMNS =
      List.of(
          "group",
          "trades",
          "wins",
          "losses",
          "net",
          "win_rate",
          "win_low",
          "win_high",
          "profit_factor",
          "expectancy",
          "mean_low",
          "mean_high",
          "a_share",
          "drawdown",
          "longest_win",
          "longest_loss",
          "median_lateness_s",
          "median_captured",
          "median_r",
          "median_held_s",
          "spread_cost",
          "median_volume_share");
  public static final List<String> EQUITY_COLUMNS =
      List.of("date", "account", "symbol", "exit_time", "result", "sum", "fall");

  private static final double SECOND = 1e9;

  private TrackRecordTables() {}

  public static List<List<String>> sessions(TrackRecord record) {
    return record.sessions().stream().map(TrackRecordTables::session).toList();
  }

  private static List<String> session(PastReview session) {
    TradeTotals all = session.review().all();
    return List.of(
        session.date().toString(),
        Integer.toString(all.trades()),
        Integer.toString(all.wins()),
        Integer.toString(all.losses()),
        ReviewTables.number(all.net()),
        ReviewTables.number(all.fees()),
        Integer.toString(session.review().moves().size()),
        Long.toString(session.review().moves().stream().filter(m -> m.ran()).count()),
        Integer.toString(session.review().scans().stream().mapToInt(s -> s.hits()).sum()));
  }

  /** The columns of a session's trades, with its date before them. */
  public static List<String> tradeColumns() {
    List<String> columns = new ArrayList<>(List.of("date"));
    columns.addAll(ReviewTables.TRADE_COLUMNS);
    return columns;
  }

  public static List<List<String>> trades(TrackRecord record) {
    List<List<String>> rows = new ArrayList<>();
    record
        .trades()
        .forEach(
            trade -> {
              List<String> row = new ArrayList<>(List.of(trade.context().date().toString()));
              row.addAll(ReviewTables.trade(trade, trade.context().date()));
              rows.add(row);
            });
    return rows;
  }

  public static List<List<String>> groups(TrackRecord record, TradeGrouping grouping) {
    return ResultRange.of(record, grouping).stream().map(TrackRecordTables::group).toList();
  }

  private static List<String> group(ResultRange range) {
    TradeGroup group = range.group();
    TradeTotals totals = group.totals();
    return List.of(
        group.name(),
        Integer.toString(totals.trades()),
        Integer.toString(totals.wins()),
        Integer.toString(totals.losses()),
        ReviewTables.number(totals.net()),
        ReviewTables.number(totals.winRate()),
        ReviewTables.number(group.interval().low()),
        ReviewTables.number(group.interval().high()),
        ReviewTables.number(totals.profitFactor()),
        ReviewTables.number(totals.expectancy()),
        ReviewTables.number(range.result().low()),
        ReviewTables.number(range.result().high()),
        ReviewTables.number(group.perShare()),
        ReviewTables.number(totals.drawdown()),
        Integer.toString(group.longestWin()),
        Integer.toString(group.longestLoss()),
        ReviewTables.number(group.medianLateness() / SECOND),
        ReviewTables.number(group.medianCaptured()),
        ReviewTables.number(group.medianR()),
        ReviewTables.number(group.medianHeld() / SECOND),
        ReviewTables.number(group.spreadCost()),
        ReviewTables.number(group.medianVolumeShare()));
  }

  public static List<List<String>> equity(TrackRecord record) {
    return record.equity().stream().map(TrackRecordTables::point).toList();
  }

  private static List<String> point(EquityPoint point) {
    var trade = point.trade().trade();
    return List.of(
        point.trade().context().date().toString(),
        trade.account(),
        trade.symbol(),
        kelvo.time.DayTime.millis(trade.exitAt()),
        ReviewTables.money(trade.result()),
        ReviewTables.number(point.sum()),
        ReviewTables.number(point.fall()));
  }
}
