package kelvo.time;

import java.time.LocalDate;

/**
 * The exchange's calendar: which dates have a session and when it closes. Implementations are
 * thread-safe.
 */
public interface TradingCalendar {
  /** The hours of a date; kind {@link SessionHours.Kind#CLOSED} at weekends and on holidays. */
  SessionHours hours(LocalDate date);

  /** The last session before a date. */
  default LocalDate before(LocalDate date) {
    LocalDate day = date.minusDays(1);
    while (hours(day).kind() == SessionHours.Kind.CLOSED) {
      day = day.minusDays(1);
    }
    return day;
  }

  /**
   * Whether both dates are sessions and {@code later} is at most {@code sessions} after {@code
   * earlier}.
   */
  default boolean within(LocalDate earlier, LocalDate later, int sessions) {
    LocalDate day = later;
    for (int i = 0; i < sessions && day.isAfter(earlier); i++) {
      day = before(day);
    }
    return !earlier.isAfter(later) && !day.isAfter(earlier);
  }
}
