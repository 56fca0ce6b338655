package kelvo.trackrecord;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;

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

  /**
   * The recorded sessions of the period, by date, none of them later than the one that is looked
   * from; for the last 100 trades as many of the newest as it takes.
   *
   * @param days what the calendar says, by date
   * @param date a date of the period
   * @param today the session that is looked from
   */
  public List<LocalDate> sessions(List<CalendarDay> days, LocalDate date, LocalDate today) {
    List<CalendarDay> recorded =
        days.stream().filter(day -> day.recorded() && !day.date().isAfter(today)).toList();
    if (this != LAST_100) {
      return recorded.stream().map(CalendarDay::date).filter(day -> holds(date, day)).toList();
    }
    List<LocalDate> last = new ArrayList<>();
    int trades = 0;
    for (CalendarDay day : recorded.reversed()) {
      if (trades < TrackRecord.LAST) {
        last.addFirst(day.date());
        trades += day.trades();
      }
    }
    return last;
  }
}
