package kelvo.review;

import java.util.Comparator;
import java.util.List;
import kelvo.hit.Hit;
import kelvo.journal.Subject;
import kelvo.trade.Trade;
import org.jspecify.annotations.Nullable;

/**
 * A trade with its verdict and measures. Unknown numbers are NaN.
 *
 * @param move the move it was on; null when it was off plan
 * @param followed the move's last hit before the entry, whose scan alone is credited with the
 *     trade; null when it was off plan
 * @param atLevel whether the entry was at a planned level
 * @param lateness nanoseconds from the move's first hit to the entry; 0 off plan
 * @param chasePercent how far the entry was beyond the first hit's price
 * @param chaseMoney the same in dollars, times the shares opened
 * @param planned whether its symbol and side were on the Ten before the entry
 * @param capturedShare part of the move's best run that the trade took
 * @param r result over the money at risk to the stop
 * @param bestPercent best price between entry and exit against the entry (MFE), per cent
 * @param worstPercent worst price between entry and exit against the entry (MAE), per cent
 * @param byHand whether the trader said which move it was on
 * @param context its circumstances
 */
public record ReviewedTrade(
    Trade trade,
    TradeVerdict verdict,
    @Nullable Move move,
    @Nullable Hit followed,
    boolean atLevel,
    long lateness,
    double chasePercent,
    double chaseMoney,
    boolean planned,
    double capturedShare,
    double r,
    double bestPercent,
    double worstPercent,
    boolean byHand,
    TradeContext context) {
  /** By session, then by exit. */
  public static final Comparator<ReviewedTrade> BY_EXIT =
      Comparator.comparing((ReviewedTrade t) -> t.context().date())
          .thenComparingLong(t -> t.trade().exitAt());

  /** What remarks on it are about. */
  public Subject subject() {
    return subjectOf(trade);
  }

  static Subject subjectOf(Trade trade) {
    return Subject.trade(trade.account(), trade.symbol(), trade.entryAt());
  }

  /**
   * The moves that the trader may match it to: of its symbol and side, begun before it was over.
   */
  public List<ReviewedMove> possibleMoves(DayReview review) {
    return review.moves().stream().filter(one -> couldBeOn(trade, one.move())).toList();
  }

  static boolean couldBeOn(Trade trade, Move move) {
    return move.symbol().equals(trade.symbol())
        && move.side() == trade.side().way()
        && move.start() <= trade.exitAt();
  }

  /** The scan that is credited with the trade; empty when it was off plan. */
  public String scan() {
    return followed == null ? "" : followed.scan();
  }

  /** Its result, dollars. */
  public double result() {
    return trade.result().doubleValue();
  }
}
