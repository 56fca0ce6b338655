package kelvo.time;

import java.time.LocalDate;

/**
 * The hours of one trading date.
 *
 * @param date the trading date, New York
 * @param kind full, early close or closed
 * @param close end of regular trading, {@link DayTime}; 16:00 also on a closed day
 */
public record SessionHours(LocalDate date, Kind kind, long close) {
  /** Start of regular trading. */
  public static final long OPEN = DayTime.of(9, 30);

  /** What sort of day a date is. */
  public enum Kind {
    FULL("full session"),
    EARLY_CLOSE("early close"),
    CLOSED("no session");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    /** The kind as shown beside the date. */
    public String words() {
      return words;
    }
  }

  /** A session with the usual hours, 09:30 to 16:00. */
  public static SessionHours full(LocalDate date) {
    return new SessionHours(date, Kind.FULL, DayTime.of(16, 0));
  }

  /** Whether a moment lies in regular trading, [open, close). */
  public boolean regular(long moment) {
    return moment >= OPEN && moment < close;
  }
}
