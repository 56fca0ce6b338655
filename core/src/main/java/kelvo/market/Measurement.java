package kelvo.market;

import java.util.List;
import kelvo.time.DayTime;

/**
 * What lies between two points of a chart.
 *
 * @param dollars the second price less the first
 * @param percent the same over the first
 * @param nanos time between them, never below zero
 * @param shares traded in the minutes that the stretch touches
 */
public record Measurement(double dollars, double percent, long nanos, long shares) {
  /**
   * Measures.
   *
   * @param bars 1-minute bars
   * @param at one moment and the other, in either order
   * @param from the first price, dollars
   * @param to the second price, dollars
   */
  public static Measurement of(List<MinuteBar> bars, long at, long until, double from, double to) {
    long begin = Math.min(at, until);
    long end = Math.max(at, until);
    long shares =
        bars.stream()
            .filter(bar -> bar.start() + DayTime.MINUTE > begin && bar.start() <= end)
            .mapToLong(MinuteBar::volume)
            .sum();
    return new Measurement(to - from, 100 * (to - from) / from, end - begin, shares);
  }
}
