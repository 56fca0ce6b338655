package kelvo.trackrecord;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;

/** Which sessions a track record is of. */
public enum Period {
  DAY("day"),
  WEEK("week"),
  MONTH("month"),
  LAST_100("last 100 trades"),
  ALL("all");

  private final String words;

  Period(String words) {
    this.words = words;
  }

  /** The words on screen. */
  public String words() {
    return words;
  }

  /** The first date of the period that a date lies in; weeks begin on Monday. */
  public LocalDate firstOf(LocalDate date) {
    return switch (this) {
      case DAY -> date;
      case WEEK -> date.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
      case MONTH -> date.withDayOfMonth(1);
      case LAST_100, ALL -> LocalDate.MIN;
    };
  }

  /** The last date of the period that a date lies in. */
  public LocalDate lastOf(LocalDate date) {
    return switch (this) {
      case DAY -> date;
      case WEEK -> firstOf(date).plusDays(6);
      case MONTH -> date.with(TemporalAdjusters.lastDayOfMonth());
      case LAST_100, ALL -> LocalDate.MAX;
    };
  }

  /** Whether a date lies in the same period as another. */
  public boolean holds(LocalDate date, LocalDate other) {
    return !other.isBefore(firstOf(date)) && !other.isAfter(lastOf(date));
  }
}
