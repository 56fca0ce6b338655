package kelvo.session;

import kelvo.history.CorporateAction;
import kelvo.history.DailyHistory;
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
 */
public record SecurityFacts(
    Security security,
    DailyHistory history,
    @Nullable CorporateAction recentSplit,
    double floatShares,
    double sharesOutstanding) {
  /** The ticker. */
  public String symbol() {
    return security.symbol();
  }

  /** Split-adjusted close of the session before; {@link Price#NONE} without history. */
  public long previousClose() {
    return history.size() == 0 ? Price.NONE : history.last().close();
  }
}
