package kelvo.review;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kelvo.history.Median;
import kelvo.statistics.WilsonInterval;
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
 * @param medianCaptured the part of the move's best run that was taken, in the median
 * @param medianR result over the money at risk, in the median of those with a stop
 * @param medianHeld from the first fill to the last, nanoseconds, in the median of those entered in
 *     the session
 * @param spreadCost what all fills with known quotes paid beyond the middle, dollars
 * @param medianVolumeShare shares opened over those printed in the five minutes before, in the
 *     median
 */
public record TradeGroup(
    String name,
    TradeTotals totals,
    WilsonInterval interval,
    double perShare,
    int longestWin,
    int longestLoss,
    double medianLateness,
    double medianCaptured,
    double medianR,
    double medianHeld,
    double spreadCost,
    double medianVolumeShare) {
  /**
   * Trades by something; the groups in its natural order. Each trade is in one group, but by tag it
   * is in that of each of its tags.
   */
  public static List<TradeGroup> of(List<ReviewedTrade> trades, TradeGrouping grouping) {
    return split(trades, grouping).entrySet().stream()
        .map(group -> of(group.getKey(), group.getValue()))
        .toList();
  }

  /** The trades of each group, by its name; in the natural order of the groups. */
  public static Map<String, List<ReviewedTrade>> split(
      List<ReviewedTrade> trades, TradeGrouping grouping) {
    Map<TradeGrouping.Key, List<ReviewedTrade>> groups = new TreeMap<>();
    for (ReviewedTrade trade : trades) {
      for (TradeGrouping.Key key : grouping.keysOf(trade)) {
        groups.computeIfAbsent(key, k -> new ArrayList<>()).add(trade);
      }
    }
    Map<String, List<ReviewedTrade>> named = new LinkedHashMap<>();
    groups.forEach((key, some) -> named.put(key.name(), some));
    return named;
  }

  /** The group of some trades. */
  public static TradeGroup of(String name, List<ReviewedTrade> reviewed) {
    List<ReviewedTrade> over =
        reviewed.stream().filter(t -> t.trade().closed()).sorted(ReviewedTrade.BY_EXIT).toList();
    List<Trade> closed = over.stream().map(ReviewedTrade::trade).toList();
    TradeTotals totals = TradeTotals.inOrder(closed);
    BigDecimal shares = closed.stream().map(Trade::shares).reduce(BigDecimal.ZERO, BigDecimal::add);
    return new TradeGroup(
        name,
        totals,
        WilsonInterval.of(totals.wins(), totals.trades()),
        shares.signum() == 0 ? Double.NaN : totals.net() / shares.doubleValue(),
        longest(closed, 1),
        longest(closed, -1),
        Median.of(
            reviewed.stream().filter(t -> t.move() != null).mapToDouble(ReviewedTrade::lateness)),
        Median.of(over.stream().mapToDouble(ReviewedTrade::capturedShare)),
        Median.of(over.stream().mapToDouble(ReviewedTrade::r)),
        Median.of(
            over.stream().filter(t -> t.trade().entryAt() >= 0).mapToDouble(TradeGroup::held)),
        over.stream()
            .mapToDouble(t -> t.context().spreadCost())
            .filter(cost -> !Double.isNaN(cost))
            .sum(),
        Median.of(over.stream().mapToDouble(t -> t.context().volumeShare())));
  }

  private static double held(ReviewedTrade trade) {
    return trade.trade().exitAt() - trade.trade().entryAt();
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
