package kelvo.chart;

import java.util.List;
import java.util.Locale;
import kelvo.history.DailyBar;
import kelvo.history.MinuteBar;
import kelvo.time.DayTime;

/**
 * What lies between two points of a chart.
 *
 * @param dollars the second price less the first
 * @param percent the same over the first
 * @param length time between them in words: "1:05 h" or "12 sessions"
 * @param shares traded in the bars that the stretch touches
 */
public record Measurement(double dollars, double percent, String length, long shares) {
  /**
   * Measures within a day.
   *
   * @param bars 1-minute bars
   * @param at one moment and {@code until} the other, in either order
   * @param from the first price, dollars
   * @param to the second price, dollars
   */
  public static Measurement ofMinutes(
      List<MinuteBar> bars, long at, long until, double from, double to) {
    long begin = Math.min(at, until);
    long end = Math.max(at, until);
    long shares =
        bars.stream()
            .filter(bar -> bar.start() + DayTime.MINUTE > begin && bar.start() <= end)
            .mapToLong(MinuteBar::volume)
            .sum();
    long minutes = (end - begin) / DayTime.MINUTE;
    return of(
        from, to, String.format(Locale.ROOT, "%d:%02d h", minutes / 60, minutes % 60), shares);
  }

  /**
   * Measures over days.
   *
   * @param bars daily bars, oldest first
   * @param first the place of one bar and {@code second} that of the other, in either order; places
   *     beyond the bars count as the nearest one
   * @param from the first price, dollars
   * @param to the second price, dollars
   * @throws IllegalArgumentException without bars
   */
  public static Measurement ofDays(
      List<DailyBar> bars, int first, int second, double from, double to) {
    if (bars.isEmpty()) {
      throw new IllegalArgumentException("nothing can be measured without bars");
    }
    int begin = Math.clamp(Math.min(first, second), 0, bars.size() - 1);
    int end = Math.clamp(Math.max(first, second), 0, bars.size() - 1);
    long shares = bars.subList(begin, end + 1).stream().mapToLong(DailyBar::volume).sum();
    return of(from, to, end - begin + (end - begin == 1 ? " session" : " sessions"), shares);
  }

  private static Measurement of(double from, double to, String length, long shares) {
    return new Measurement(to - from, 100 * (to - from) / from, length, shares);
  }
}
