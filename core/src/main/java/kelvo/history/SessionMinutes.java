package kelvo.history;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * The minute bars of one session, by security and then by minute, as columns on the heap or in a
 * file that is mapped. Immutable.
 *
 * @param volume the shares of each bar, which has a row for each
 * @param trades the prints of each bar; null when they were not counted
 * @param opens by row, {@link Price} units, as longs
 * @param highs likewise
 * @param lows likewise
 * @param closes likewise
 */
public record SessionMinutes(
    MinuteCounts volume,
    @Nullable MinuteCounts trades,
    MemorySegment opens,
    MemorySegment highs,
    MemorySegment lows,
    MemorySegment closes) {
  /** The securities that have bars. */
  public List<String> symbols() {
    return volume.symbols();
  }

  /** The bar of a row; its averages are unknown. */
  public MinuteBar bar(int row) {
    return new MinuteBar(
        volume.minute(row) * DayTime.MINUTE,
        price(opens, row),
        price(highs, row),
        price(lows, row),
        price(closes, row),
        volume.count(row),
        Double.NaN,
        Double.NaN);
  }

  private static long price(MemorySegment column, int row) {
    return column.getAtIndex(ValueLayout.JAVA_LONG, row);
  }

  /**
   * A security's volume-weighted average price over some minutes, dollars; NaN when nothing was
   * traded. A minute's price is the mean of its high, low and close, since bars carry no VWAP of
   * their own.
   *
   * @param place of the symbol in the list
   * @param from the first minute of the day
   * @param until the minute after the last
   */
  public double vwap(int place, int from, int until) {
    double money = 0;
    double shares = 0;
    for (int row = volume.start(place); row < volume.end(place); row++) {
      if (volume.minute(row) >= from && volume.minute(row) < until) {
        long prices = price(highs, row) + price(lows, row) + price(closes, row);
        money += Price.dollars(prices) / 3 * volume.count(row);
        shares += volume.count(row);
      }
    }
    return money / shares;
  }

  /** What was traded of a security from a minute of the day on, in the shares of that day. */
  public EarlierMinutes.Evening since(int place, int from) {
    double shares = 0;
    long close = Price.NONE;
    for (int row = volume.start(place); row < volume.end(place); row++) {
      if (volume.minute(row) >= from) {
        shares += volume.count(row);
        close = price(closes, row);
      }
    }
    return new EarlierMinutes.Evening(shares, close);
  }

  /** A security's closes by the minute of the day at which the bar ended. */
  public NavigableMap<Integer, Long> closesByEnd(int place) {
    NavigableMap<Integer, Long> ends = new TreeMap<>();
    for (int row = volume.start(place); row < volume.end(place); row++) {
      ends.put(volume.minute(row) + 1, price(closes, row));
    }
    return ends;
  }
}
