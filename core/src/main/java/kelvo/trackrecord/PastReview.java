package kelvo.trackrecord;

import java.time.LocalDate;
import java.util.List;
import kelvo.journal.JournalPage;
import kelvo.review.DayReview;
import kelvo.review.DecisionReview;
import kelvo.review.ReviewedTrade;

/**
 * A session that is over, reviewed from its end.
 *
 * @param review every hit against every trade
 * @param decisions what became of the symbols that were kept, watched and dropped
 * @param page what the trader says of the session
 */
public record PastReview(
    LocalDate date, DayReview review, List<DecisionReview> decisions, JournalPage page) {
  public PastReview {
    decisions = List.copyOf(decisions);
  }

  /** Its closed trades, by exit. */
  public List<ReviewedTrade> closed() {
    return review.trades().stream()
        .filter(trade -> trade.trade().closed())
        .sorted(ReviewedTrade.BY_EXIT)
        .toList();
  }
}
