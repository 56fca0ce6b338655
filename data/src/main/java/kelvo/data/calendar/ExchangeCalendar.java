package kelvo.data.calendar;

import de.focus_shift.jollyday.core.HolidayManager;
import de.focus_shift.jollyday.core.ManagerParameters;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;

/**
 * The US exchanges' calendar: full closures from the jollyday library's "nyse" calendar; early
 * closes at 13:00 by our own rule (from memory of the exchanges' published hours): the day after
 * Thanksgiving, and 3 July and 24 December when they fall on Monday to Thursday.
 */
public final class ExchangeCalendar implements TradingCalendar {
  private static final long EARLY = DayTime.of(13, 0);

  /** Begun at once, since the library takes a third of a second for its first calendar. */
  private final CompletableFuture<HolidayManager> closures =
      CompletableFuture.supplyAsync(
          () -> HolidayManager.getInstance(ManagerParameters.create("nyse")));

  private final Map<LocalDate, SessionHours> known = new ConcurrentHashMap<>();

  @Override
  public SessionHours hours(LocalDate date) {
    return known.computeIfAbsent(date, this::find);
  }

  private SessionHours find(LocalDate date) {
    LocalDate before = date.minusDays(1);
    while (kind(before) == SessionHours.Kind.CLOSED) {
      before = before.minusDays(1);
    }
    long daysBetween = ChronoUnit.DAYS.between(before, date);
    SessionHours.Kind kind = kind(date);
    return new SessionHours(
        date, kind, close(kind), close(kind(before)) - daysBetween * DayTime.DAY);
  }

  private SessionHours.Kind kind(LocalDate date) {
    DayOfWeek weekday = date.getDayOfWeek();
    if (weekday == DayOfWeek.SATURDAY
        || weekday == DayOfWeek.SUNDAY
        || closures.join().isHoliday(date)) {
      return SessionHours.Kind.CLOSED;
    }
    return closesEarly(date) ? SessionHours.Kind.EARLY_CLOSE : SessionHours.Kind.FULL;
  }

  private static long close(SessionHours.Kind kind) {
    return kind == SessionHours.Kind.EARLY_CLOSE ? EARLY : SessionHours.USUAL_CLOSE;
  }

  private static boolean closesEarly(LocalDate date) {
    boolean mondayToThursday = date.getDayOfWeek().compareTo(DayOfWeek.THURSDAY) <= 0;
    return switch (date.getMonth()) {
      case JULY -> date.getDayOfMonth() == 3 && mondayToThursday;
      case DECEMBER -> date.getDayOfMonth() == 24 && mondayToThursday;
      case NOVEMBER -> date.minusDays(1).equals(thanksgiving(date.getYear()));
      default -> false;
    };
  }

  private static LocalDate thanksgiving(int year) {
    return LocalDate.of(year, Month.NOVEMBER, 1)
        .with(TemporalAdjusters.dayOfWeekInMonth(4, DayOfWeek.THURSDAY));
  }
}
