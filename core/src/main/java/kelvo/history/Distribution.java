package kelvo.history;

import java.time.LocalDate;
import kelvo.tape.Price;

/**
 * What a share gives up on a date: from then on it trades without a dividend or a part that was
 * spun off. The fall by as much is no gap.
 *
 * @param symbol the security
 * @param date the ex-date: the first session without it
 * @param amount its worth a share, {@link Price} units, above 0
 */
public record Distribution(String symbol, LocalDate date, Kind kind, long amount) {
  /** What is given out. */
  public enum Kind {
    DIVIDEND("dividend"),
    SPIN_OFF("spin-off");

    private final String words;

    Kind(String words) {
      this.words = words;
    }
  }

  public Distribution {
    if (amount <= 0) {
      throw new IllegalArgumentException("the amount must be above 0, found " + amount);
    }
  }

  /** In words, such as "ex dividend $0.25". */
  public String words() {
    return "ex " + kind.words + " $" + Price.text(amount);
  }
}
