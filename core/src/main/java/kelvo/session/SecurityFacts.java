package kelvo.session;

import java.util.List;
import kelvo.history.CorporateAction;
import kelvo.history.DailyHistory;
import kelvo.history.Distribution;
import kelvo.tape.Price;
import org.jspecify.annotations.Nullable;

/**
 * What is known of a security before a session starts.
 *
 * @param security the listing
 * @param history daily bars before the session, split-adjusted
 * @param recentSplit the newest split effective today or in the two sessions before; null without
 *     one
 * @param floatShares float in today's shares; NaN when unknown
 * @param sharesOutstanding in today's shares; NaN when unknown
 * @param distributions what a share gives up today
 */
public record SecurityFacts(
    Security security,
    DailyHistory history,
    @Nullable CorporateAction recentSplit,
    double floatShares,
    double sharesOutstanding,
    List<Distribution> distributions) {
  public SecurityFacts {
    distributions = List.copyOf(distributions);
  }

  /** A security whose shares give up nothing today. */
  public SecurityFacts(
      Security security,
      DailyHistory history,
      @Nullable CorporateAction recentSplit,
      double floatShares,
      double sharesOutstanding) {
    this(security, history, recentSplit, floatShares, sharesOutstanding, List.of());
  }

  /** The ticker. */
  public String symbol() {
    return security.symbol();
  }

  /**
   * What today's price is held against: the close of the session before, split-adjusted and less
   * what a share gives up today; {@link Price#NONE} without history.
   */
  public long previousClose() {
    long given = distributions.stream().mapToLong(Distribution::amount).sum();
    return history.size() == 0 || given >= history.lastClose()
        ? priorClose()
        : priorClose() - given;
  }

  /** Split-adjusted close of the session before; {@link Price#NONE} without history. */
  public long priorClose() {
    return history.size() == 0 ? Price.NONE : history.lastClose();
  }
}
