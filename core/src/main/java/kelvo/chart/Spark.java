package kelvo.chart;

import java.util.List;
import kelvo.history.MinuteBar;
import kelvo.tape.Price;

/**
 * A small line of a day: the minutes in which something traded, since 04:00.
 *
 * @param starts when each began, {@link kelvo.time.DayTime}
 * @param closes its last price, dollars
 */
public record Spark(long[] starts, double[] closes) {
  /** The line of these bars. */
  public static Spark of(List<MinuteBar> bars) {
    return new Spark(
        bars.stream().mapToLong(MinuteBar::start).toArray(),
        bars.stream().mapToDouble(b -> Price.dollars(b.close())).toArray());
  }
}
