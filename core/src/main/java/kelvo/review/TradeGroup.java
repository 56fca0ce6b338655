package kelvo.review;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.history.Median;
import kelvo.session.Session;
import kelvo.trade.Trade;

/**
 * Some of the trades, by what they have in common. Unknown numbers are NaN.
 *
 * @param name what they have in common
 * @param totals their totals; only closed trades count
 * @param interval the 95% interval of their win rate
 * @param perShare their result a share opened, dollars
 * @param longestWin the most wins in a row
 * @param longestLoss the most losses in a row
 * @param medianLateness from the move's first hit to the entry, nanoseconds, in the median of those
 *     on a hit
 */
public record TradeGroup(
    String name,
    TradeTotals totals,
    WilsonInterval interval,
    double perShare,
    int longestWin,
    int longestLoss,
    double medianLateness) {
  /** The trades of a review by something, each in one group; the groups in its natural order. */
  public static List<TradeGroup> of(
      List<ReviewedTrade> trades, TradeGrouping grouping, Session session) {
    Map<TradeGrouping.Key, List<ReviewedTrade>> groups = new LinkedHashMap<>();
    trades.forEach(
        trade ->
            groups
                .computeIfAbsent(grouping.keyOf(trade, session), key -> new ArrayList<>())
                .add(trade));
    return groups.entrySet().stream()
        .sorted(Map.Entry.comparingByKey(Comparator.naturalOrder()))
        .map(group -> of(group.getKey().name(), group.getValue()))
        .toList();
  }

  private static TradeGroup of(String name, List<ReviewedTrade> reviewed) {
    List<Trade> closed =
        reviewed.stream()
            .map(ReviewedTrade::trade)
            .filter(Trade::closed)
            .sorted(Comparator.comparingLong(Trade::exitAt))
            .toList();
    TradeTotals totals = TradeTotals.of(closed);
    BigDecimal shares = closed.stream().map(Trade::shares).reduce(BigDecimal.ZERO, BigDecimal::add);
    return new TradeGroup(
        name,
        totals,
        WilsonInterval.of(totals.wins(), totals.trades()),
        shares.signum() == 0 ? Double.NaN : totals.net() / shares.doubleValue(),
        longest(closed, 1),
        longest(closed, -1),
        Median.of(
            reviewed.stream().filter(t -> t.move() != null).mapToDouble(ReviewedTrade::lateness)));
  }

  /** The most results of a sign in a row; a result of zero ends it. */
  private static int longest(List<Trade> closed, int sign) {
    int longest = 0;
    int now = 0;
    for (Trade trade : closed) {
      now = trade.result().signum() == sign ? now + 1 : 0;
      longest = Math.max(longest, now);
    }
    return longest;
  }
}
