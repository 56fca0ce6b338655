package kelvo.trackrecord;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.review.ReviewedTrade;
import kelvo.review.TradeGroup;
import kelvo.review.TradeGrouping;
import kelvo.statistics.MeanInterval;

/**
 * What the trades of a group brought, and how far chance alone may move that.
 *
 * @param group the group with its totals
 * @param result the mean result of a trade, dollars, with its interval
 * @param trades its closed trades, in the order of their exits
 */
public record ResultRange(TradeGroup group, MeanInterval result, List<ReviewedTrade> trades) {
  public ResultRange {
    trades = List.copyOf(trades);
  }

  /** The groups of a record by something, in their natural order. */
  public static List<ResultRange> of(TrackRecord record, TradeGrouping grouping) {
    return TradeGroup.split(record.trades(), grouping).entrySet().stream()
        .map(group -> of(group.getKey(), group.getValue()))
        .toList();
  }

  private static ResultRange of(String name, List<ReviewedTrade> trades) {
    Map<LocalDate, List<ReviewedTrade>> sessions = new LinkedHashMap<>();
    trades.forEach(
        trade ->
            sessions.computeIfAbsent(trade.context().date(), d -> new ArrayList<>()).add(trade));
    List<double[]> results =
        sessions.values().stream()
            .map(day -> day.stream().mapToDouble(ReviewedTrade::result).toArray())
            .toList();
    return new ResultRange(TradeGroup.of(name, trades), MeanInterval.of(results), trades);
  }
}
