package kelvo.time;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import kelvo.refusal.RefusedException;

/**
 * Moments of one session: nanoseconds since midnight, New York time. A trading day never contains a
 * clock change between 04:00 and 20:00, so a wall-clock moment names exactly one instant.
 */
public final class DayTime {
  /** The zone of every time that Kelvo shows or reads without an offset. */
  public static final ZoneId NEW_YORK = ZoneId.of("America/New_York");

  public static final long MILLISECOND = 1_000_000L;
  public static final long SECOND = 1_000 * MILLISECOND;
  public static final long MINUTE = 60 * SECOND;
  public static final long HOUR = 60 * MINUTE;
  public static final long DAY = 24 * HOUR;

  /** 04:00, when a session's prints begin to count. */
  public static final long FIRST = 4 * HOUR;

  /** 20:00, the end of after-hours trading. */
  public static final long LAST = 20 * HOUR;

  private static final long YEAR_SECONDS = 366L * 24 * 3600;

  private DayTime() {}

  /** The moment hour:minute. */
  public static long of(int hour, int minute) {
    return hour * HOUR + minute * MINUTE;
  }

  /**
   * Reads {@code HH:MM}, {@code HH:MM:SS} or {@code HH:MM:SS.fraction}.
   *
   * @throws RefusedException when the text is no time of day; the message quotes it
   */
  public static long parse(String text) {
    try {
      return LocalTime.parse(text).toNanoOfDay();
    } catch (DateTimeParseException e) {
      throw new RefusedException(
          "expected a time such as 09:30 or 09:30:05, found \"" + text + "\"", e);
    }
  }

  /** The moment as {@code HH:MM}. */
  public static String minutes(long moment) {
    return digits(moment / HOUR) + ":" + digits(moment / MINUTE % 60);
  }

  /** The moment as {@code HH:MM:SS}. */
  public static String seconds(long moment) {
    return minutes(moment) + ":" + digits(moment / SECOND % 60);
  }

  /** The moment as {@code HH:MM:SS.mmm}. */
  public static String millis(long moment) {
    long ms = moment / MILLISECOND % 1000;
    return seconds(moment) + "." + (ms < 100 ? "0" : "") + digits(ms);
  }

  private static String digits(long n) {
    return n < 10 ? "0" + n : Long.toString(n);
  }

  /**
   * The time of an instant as New York's clocks show it, from a session's midnight on: negative on
   * an earlier day, and at most a year away either way.
   */
  public static long of(Instant instant, LocalDate session) {
    LocalDateTime there = instant.atZone(NEW_YORK).toLocalDateTime();
    Duration away = Duration.between(session.atStartOfDay(), there);
    long seconds = Math.clamp(away.getSeconds(), -YEAR_SECONDS, YEAR_SECONDS);
    return seconds * SECOND + away.getNano();
  }
}
