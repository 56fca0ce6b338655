package kelvo.review;

import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;

/**
 * What a review says first: what was won, how it was traded, and what ran without the trader.
 *
 * @param all totals over all trades
 * @param onHit trades on a hit that were not late
 * @param late trades on a hit, but late
 * @param lateCost what the late ones paid beyond the price of the first hit, dollars; below 0 when
 *     they paid less
 * @param offPlan trades off plan
 * @param missed moves that were never looked at
 * @param dropped moves whose symbol had been dropped by hand
 */
public record SixFigures(
    TradeTotals all,
    Some onHit,
    Some late,
    double lateCost,
    Some offPlan,
    Ran missed,
    Ran dropped) {
  /**
   * Some of the trades.
   *
   * @param net their result, dollars
   */
  public record Some(int trades, double net) {
    private static Some of(List<ReviewedTrade> trades, TradeVerdict verdict) {
      List<ReviewedTrade> some = trades.stream().filter(t -> t.verdict() == verdict).toList();
      return new Some(some.size(), some.stream().mapToDouble(ReviewedTrade::result).sum());
    }
  }

  /**
   * How many of some moves ran.
   *
   * @param ran those that did
   * @param known those of which it is known
   * @param symbol that of the one that went furthest of those that ran; empty when none did
   * @param best how far, per cent in half an hour, below 0 when the price fell; NaN when none did
   */
  public record Ran(int ran, int known, String symbol, double best) {
    private static Ran of(List<ReviewedMove> moves, MoveVerdict verdict) {
      Predicate<ReviewedMove> isKnown = m -> m.outcome().ran() != Outcome.Ran.UNKNOWN;
      List<ReviewedMove> known =
          moves.stream().filter(m -> m.verdict() == verdict).filter(isKnown).toList();
      List<ReviewedMove> ran = known.stream().filter(ReviewedMove::ran).toList();
      return ran.stream()
          .filter(m -> !Double.isNaN(m.outcome().halfHour().best()))
          .max(Comparator.comparingDouble(m -> m.outcome().halfHour().best()))
          .map(
              m ->
                  new Ran(
                      ran.size(),
                      known.size(),
                      m.move().symbol(),
                      m.move().side().direction() * m.outcome().halfHour().best()))
          .orElse(new Ran(ran.size(), known.size(), "", Double.NaN));
    }
  }

  /** The figures of trades and moves, of which the totals are known. */
  public static SixFigures of(
      List<ReviewedTrade> trades, List<ReviewedMove> moves, TradeTotals all) {
    return new SixFigures(
        all,
        Some.of(trades, TradeVerdict.ON_A_HIT),
        Some.of(trades, TradeVerdict.LATE),
        trades.stream()
            .filter(t -> t.verdict() == TradeVerdict.LATE)
            .mapToDouble(ReviewedTrade::chaseMoney)
            .sum(),
        Some.of(trades, TradeVerdict.OFF_PLAN),
        Ran.of(moves, MoveVerdict.MISSED),
        Ran.of(moves, MoveVerdict.DROPPED));
  }
}
