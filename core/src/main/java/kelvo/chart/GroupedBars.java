package kelvo.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.function.LongPredicate;
import kelvo.history.Averages;
import kelvo.history.MinuteBar;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** Longer bars made of 1-minute bars. */
public final class GroupedBars {
  private static final int AVERAGE = 9;

  private GroupedBars() {}

  /**
   * Bars of so many minutes, counted from midnight. VWAP is that at a bar's end; the exponential
   * average is that of the longer bars' closes.
   *
   * @param minutes at least 1; 1 gives the bars that are wanted as they are
   * @param wanted which minutes are taken, by their first moment
   */
  public static List<MinuteBar> of(List<MinuteBar> bars, int minutes, LongPredicate wanted) {
    List<MinuteBar> taken = bars.stream().filter(bar -> wanted.test(bar.start())).toList();
    if (minutes == 1) {
      return taken;
    }
    long span = minutes * DayTime.MINUTE;
    List<MinuteBar> grouped = new ArrayList<>();
    for (MinuteBar bar : taken) {
      long start = bar.start() / span * span;
      if (!grouped.isEmpty() && grouped.getLast().start() == start) {
        grouped.add(joined(grouped.removeLast(), bar));
      } else {
        grouped.add(at(bar, start, bar.ema9()));
      }
    }
    double[] average =
        Averages.ema(
            grouped.stream().mapToDouble(b -> Price.dollars(b.close())).toArray(), AVERAGE);
    for (int i = 0; i < average.length; i++) {
      grouped.set(i, at(grouped.get(i), grouped.get(i).start(), average[i]));
    }
    return grouped;
  }

  private static MinuteBar at(MinuteBar bar, long start, double average) {
    return new MinuteBar(
        start, bar.open(), bar.high(), bar.low(), bar.close(), bar.volume(), bar.vwap(), average);
  }

  private static MinuteBar joined(MinuteBar one, MinuteBar next) {
    return new MinuteBar(
        one.start(),
        one.open(),
        Math.max(one.high(), next.high()),
        Math.min(one.low(), next.low()),
        next.close(),
        one.volume() + next.volume(),
        next.vwap(),
        Double.NaN);
  }
}
