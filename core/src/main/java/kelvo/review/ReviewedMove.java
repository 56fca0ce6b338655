package kelvo.review;

import java.util.List;
import kelvo.journal.Decision;
import kelvo.journal.Subject;
import org.jspecify.annotations.Nullable;

/**
 * A move with its verdict, what that goes by, and what the price did.
 *
 * @param trades those on it, by time of entry
 * @param decision the decision in force when it began; null without one
 * @param looked how it was looked at until it was over
 * @param atTheHit what the trades on it would have brought more, had they been entered at the first
 *     price after the first hit, dollars; 0 without trades
 */
public record ReviewedMove(
    Move move,
    MoveVerdict verdict,
    List<ReviewedTrade> trades,
    @Nullable Decision decision,
    Looked looked,
    Outcome outcome,
    double atTheHit) {
  public ReviewedMove {
    trades = List.copyOf(trades);
  }

  /** What remarks on it are about. */
  public Subject subject() {
    return Subject.move(move.symbol(), move.start());
  }

  /** Whether it is known that it ran. */
  public boolean ran() {
    return outcome.ran() == Outcome.Ran.YES;
  }

  /** Whether it cost something: it ran, and there was no trade on it. */
  public boolean costs() {
    return ran()
        && switch (verdict) {
          case DROPPED, PASSED, MISSED -> true;
          case TAKEN, LATE -> false;
        };
  }
}
