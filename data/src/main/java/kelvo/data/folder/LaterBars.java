package kelvo.data.folder;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import kelvo.history.CorporateAction;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import kelvo.research.LaterDays;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;
import org.jspecify.annotations.Nullable;

/** What the daily bars before a day say of the sessions after one. Thread-safe. */
final class LaterBars implements LaterDays {
  private final Map<String, DailyBarList> daily;
  private final Function<String, List<CorporateAction>> splits;
  private final TradingCalendar calendar;
  private final LocalDate date;
  private final LocalDate before;
  private final LocalDate newest;
  private final Map<String, DailyBarList> after = new ConcurrentHashMap<>();

  LaterBars(
      Map<String, DailyBarList> daily,
      Function<String, List<CorporateAction>> splits,
      TradingCalendar calendar,
      LocalDate date,
      LocalDate before) {
    this.daily = daily;
    this.before = before;
    this.splits = splits;
    this.calendar = calendar;
    this.date = date;
    newest =
        daily.values().stream()
            .filter(bars -> !bars.isEmpty())
            .map(bars -> bars.getLast().date())
            .map(last -> last.isBefore(before) ? last : before.minusDays(1))
            .max(Comparator.naturalOrder())
            .orElse(LocalDate.MIN);
  }

  @Override
  public Later of(String symbol, int day) {
    LocalDate wanted = session(day);
    if (wanted.isAfter(newest)) {
      return Later.UNKNOWN;
    }
    DailyBarList bars = after.computeIfAbsent(symbol, this::bars);
    @Nullable DailyBar last = null;
    for (DailyBar bar : bars) {
      if (bar.date().isBefore(before)) {
        last = bar;
        if (!bar.date().isBefore(wanted)) {
          return new Later(Standing.TRADED, bar);
        }
      }
    }
    return new Later(Standing.GONE, last);
  }

  private DailyBarList bars(String symbol) {
    return DailyHistory.after(
        date, daily.getOrDefault(symbol, DailyBarList.NONE), splits.apply(symbol));
  }

  /** The date of a session, counted from this one, which is the first. */
  private LocalDate session(int day) {
    LocalDate session = date;
    for (int i = 1; i < day; i++) {
      session = session.plusDays(1);
      while (calendar.hours(session).kind() == SessionHours.Kind.CLOSED) {
        session = session.plusDays(1);
      }
    }
    return session;
  }
}
