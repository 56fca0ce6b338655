package kelvo.practice;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;

/**
 * A call of a drill as it is kept.
 *
 * @param at the moment of the case, {@link kelvo.time.DayTime}
 * @param entry dollars
 * @param stop how far from the entry the stop was, a part of it
 */
public record KeptCall(
    LocalDate date,
    String symbol,
    long at,
    long enteredAt,
    double entry,
    double stop,
    DrillScore score) {
  private static final String ACCOUNT = "drill";
  private static final int PLACES = 4;

  /**
   * The trade that it would have been, of one usual position; none for who stayed out. The account
   * keeps it apart from every other.
   *
   * @param number of the call among those of its session
   */
  public List<Fill> fills(int number) {
    if (score.call() == DrillCall.NO) {
      return List.of();
    }
    boolean isLong = score.call().way() > 0;
    BigDecimal shares = BigDecimal.valueOf(Math.max(1, (long) (BlindResult.DOLLARS / entry)));
    return List.of(
        fill(enteredAt, isLong ? FillSide.BUY : FillSide.SHORT, shares, entry, number),
        fill(
            score.exitAt(), isLong ? FillSide.SELL : FillSide.COVER, shares, score.exit(), number));
  }

  private Fill fill(long moment, FillSide side, BigDecimal shares, double price, int number) {
    return new Fill(
        moment,
        symbol,
        side,
        shares,
        BigDecimal.valueOf(price).setScale(PLACES, RoundingMode.HALF_UP),
        BigDecimal.ZERO,
        ACCOUNT + " " + number,
        "");
  }

  /** What several came to, in a sentence; empty without any. */
  public static String words(List<KeptCall> calls) {
    List<DrillScore> scores = calls.stream().map(KeptCall::score).toList();
    return scores.isEmpty()
        ? ""
        : String.format(
            Locale.ROOT,
            "In all %d calls so far: %+.1f%% a case in the mean, %+.1f times the stop where you were"
                + " in; the scan alone %+.1f%%.",
            scores.size(),
            100 * DrillScore.meanResult(scores),
            DrillScore.meanMultiple(scores),
            100 * DrillScore.meanByScan(scores));
  }
}
