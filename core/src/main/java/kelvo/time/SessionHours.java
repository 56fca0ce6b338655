package kelvo.time;

import java.time.DayOfWeek;
import java.time.LocalDate;

/**
 * The hours of one trading date.
 *
 * @param date the trading date, New York
 * @param kind full, early close or closed
 * @param close end of regular trading, {@link DayTime}; 16:00 also on a closed day
 * @param previousClose end of regular trading of the session before, on the scale of {@link
 *     DayTime} and so negative
 */
public record SessionHours(LocalDate date, Kind kind, long close, long previousClose) {
  /** Start of regular trading. */
  public static final long OPEN = DayTime.of(9, 30);

  /** End of regular trading on a full session. */
  public static final long USUAL_CLOSE = DayTime.of(16, 0);

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

  /** A session with the usual hours, 09:30 to 16:00, after another one on the weekday before. */
  public static SessionHours full(LocalDate date) {
    int days = date.getDayOfWeek() == DayOfWeek.MONDAY ? 3 : 1;
    return new SessionHours(date, Kind.FULL, USUAL_CLOSE, USUAL_CLOSE - days * DayTime.DAY);
  }

  /** Whether a moment lies in regular trading, [open, close). */
  public boolean regular(long moment) {
    return moment >= OPEN && moment < close;
  }
}
