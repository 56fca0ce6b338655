package kelvo.trackrecord;

import java.math.BigDecimal;
import java.time.LocalDate;

/**
 * What a calendar says of a date.
 *
 * @param known what the folder has of its session
 * @param trades how many trades were closed
 * @param net their result after fees, dollars; 0 without trades
 * @param reviewed whether the trader has said something of it
 */
public record CalendarDay(
    LocalDate date, Known known, int trades, BigDecimal net, boolean reviewed) {
  /** What a folder has of a session. */
  public enum Known {
    PRINTS("prints"),
    BARS("bars"),
    NOTHING("");

    private final String words;

    Known(String words) {
      this.words = words;
    }

    /** The word in a calendar. */
    public String words() {
      return words;
    }
  }

  /** Whether its tape was recorded. */
  public boolean recorded() {
    return known == Known.PRINTS;
  }

  /** Whether it can be opened. */
  public boolean canOpen() {
    return known != Known.NOTHING;
  }

  /** A date still to come: nothing is told of it but that it can be opened. */
  public static CalendarDay ahead(LocalDate date, Known known) {
    return new CalendarDay(date, known, 0, BigDecimal.ZERO, false);
  }
}
