package kelvo.research;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.history.CorporateAction;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import org.jspecify.annotations.Nullable;

/**
 * How a security traded on the day of a case and on those after it, by the daily bars, in the
 * shares of the first. Immutable.
 *
 * @param days day one and those after it that are known, {@link #DAYS} at most; none when day one
 *     has no bar
 */
public record RecordSheet(List<Day> days) {
  /** Day one and the four sessions after it. */
  public static final int DAYS = 5;

  /**
   * A day.
   *
   * @param change of the close from the close before, per cent; NaN without one before
   * @param gap of the open from the close before, likewise
   */
  public record Day(DailyBar bar, double change, double gap) {
    static Day after(double closeBefore, DailyBar bar) {
      return new Day(
          bar,
          100 * (bar.close() - closeBefore) / closeBefore,
          100 * (bar.open() - closeBefore) / closeBefore);
    }
  }

  public RecordSheet {
    days = List.copyOf(days);
  }

  /**
   * The sheet of a case.
   *
   * @param asTraded all daily bars of the security
   * @param before bars from this day on are not looked at
   */
  public static RecordSheet of(
      LocalDate date, DailyBarList asTraded, List<CorporateAction> splits, LocalDate before) {
    @Nullable DailyBar first = DailyHistory.on(date, asTraded);
    if (first == null || !first.date().isBefore(before)) {
      return new RecordSheet(List.of());
    }
    DailyHistory history = DailyHistory.before(date, asTraded, splits);
    List<DailyBar> bars = new ArrayList<>(List.of(first));
    DailyHistory.after(date, asTraded, splits, DAYS - 1).stream()
        .filter(bar -> bar.date().isBefore(before))
        .forEach(bars::add);
    List<Day> days = new ArrayList<>();
    double closeBefore = history.size() == 0 ? Double.NaN : history.lastClose();
    for (DailyBar bar : bars) {
      days.add(Day.after(closeBefore, bar));
      closeBefore = bar.close();
    }
    return new RecordSheet(days);
  }

  /** A day, counted from day one; null when it is not known. */
  public @Nullable Day day(int number) {
    return number <= days.size() ? days.get(number - 1) : null;
  }
}
