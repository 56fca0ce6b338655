package kelvo.data.folder;

import java.time.LocalDate;
import java.util.ArrayList;
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

/** What the daily bars before a day say of the sessions after others. Thread-safe. */
final class LaterBars {
  /** The last session that is asked for, counted from the one that it comes after. */
  private static final int LAST_DAY = 5;

  private final Map<String, DailyBarList> daily;
  private final Function<String, List<CorporateAction>> splits;
  private final TradingCalendar calendar;
  private final LocalDate before;
  private final LocalDate newest;

  /**
   * Of all bars that there are.
   *
   * @param before bars from this day on are not looked at
   */
  LaterBars(
      Map<String, DailyBarList> daily,
      Function<String, List<CorporateAction>> splits,
      TradingCalendar calendar,
      LocalDate before) {
    this.daily = daily;
    this.before = before;
    this.splits = splits;
    this.calendar = calendar;
    newest =
        daily.values().stream()
            .filter(bars -> !bars.isEmpty())
            .map(bars -> bars.getLast().date())
            .map(last -> last.isBefore(before) ? last : before.minusDays(1))
            .max(Comparator.naturalOrder())
            .orElse(LocalDate.MIN);
  }

  /** The sessions after one. */
  LaterDays after(LocalDate date) {
    List<LocalDate> sessions = new ArrayList<>(List.of(date));
    while (sessions.size() < LAST_DAY) {
      LocalDate next = sessions.getLast().plusDays(1);
      while (calendar.hours(next).kind() == SessionHours.Kind.CLOSED) {
        next = next.plusDays(1);
      }
      sessions.add(next);
    }
    return new After(date, sessions);
  }

  private final class After implements LaterDays {
    private final LocalDate date;
    private final List<LocalDate> sessions;
    private final Map<String, List<DailyBar>> bars = new ConcurrentHashMap<>();

    After(LocalDate date, List<LocalDate> sessions) {
      this.date = date;
      this.sessions = sessions;
    }

    @Override
    public Later of(String symbol, int day) {
      LocalDate wanted = sessions.get(day - 1);
      if (wanted.isAfter(newest)) {
        return Later.UNKNOWN;
      }
      @Nullable DailyBar last = null;
      for (DailyBar bar : bars.computeIfAbsent(symbol, this::bars)) {
        if (bar.date().isBefore(before)) {
          last = bar;
          if (!bar.date().isBefore(wanted)) {
            return new Later(Standing.TRADED, bar);
          }
        }
      }
      return new Later(Standing.GONE, last);
    }

    /** As many as there are sessions, so that the bar of the last one or after it is among them. */
    private List<DailyBar> bars(String symbol) {
      return DailyHistory.after(
          date,
          daily.getOrDefault(symbol, DailyBarList.NONE),
          splits.apply(symbol),
          sessions.size());
    }
  }
}
