package kelvo.review;

import kelvo.time.DayTime;
import kelvo.trade.CostMethod;
import kelvo.trade.Fees;

/**
 * The numbers that verdicts go by; shown beside the result.
 *
 * @param moveGap longest pause between two hits of one move, nanoseconds of trading
 * @param entryAfter how long after a move's last hit an entry still belongs to it
 * @param lateChasePercent an entry further than this beyond the first hit's price is late
 * @param lateAfter an entry later than this after the latest hit is late, unless at a planned level
 * @param atLevelPercent an entry this near to a planned level is at it
 * @param ranWithin how long a move has to run
 * @param ranLeastPercent least target of a run
 * @param lookedFor how long a symbol must have been in focus to count as looked at
 * @param cost which shares a closing fill closes
 * @param fees what fills cost that name no fee
 */
public record ReviewSettings(
    long moveGap,
    long entryAfter,
    double lateChasePercent,
    long lateAfter,
    double atLevelPercent,
    long ranWithin,
    double ranLeastPercent,
    long lookedFor,
    CostMethod cost,
    Fees fees) {
  /** The values that Kelvo starts with. */
  public static final ReviewSettings DEFAULT =
      new ReviewSettings(
          15 * DayTime.MINUTE,
          15 * DayTime.MINUTE,
          2,
          3 * DayTime.MINUTE,
          0.2,
          30 * DayTime.MINUTE,
          2,
          5 * DayTime.SECOND,
          CostMethod.FIRST_IN_FIRST_OUT,
          Fees.NONE);

  /** The settings in one sentence. */
  public String words() {
    return "A move ends after %d min without a hit; late means over %.0f%% beyond the first hit or over %d min after the latest; ran means half an ATR, at least %.0f%%, within %d min before half of that against."
        .formatted(
            moveGap / DayTime.MINUTE,
            lateChasePercent,
            lateAfter / DayTime.MINUTE,
            ranLeastPercent,
            ranWithin / DayTime.MINUTE);
  }
}
