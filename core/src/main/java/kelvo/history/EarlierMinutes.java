package kelvo.history;

import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * What the minute bars of earlier sessions say of single moments, in today's shares: the evening of
 * the session before, and prices of the time at which news came. Immutable.
 *
 * @param evenings by security; of every security where that evening was recorded, else empty
 * @param closes by security, the closes of its minute bars by the moment at which the bar ended,
 *     {@link kelvo.time.DayTime}, below 0 on earlier days
 */
public record EarlierMinutes(
    Map<Integer, Evening> evenings, Map<Integer, NavigableMap<Long, Long>> closes) {
  /** Nothing was recorded. */
  public static final EarlierMinutes NONE = new EarlierMinutes(Map.of(), Map.of());

  /**
   * What was traded after the close of the session before.
   *
   * @param shares in today's shares
   * @param close the last price, {@link Price} units; {@link Price#NONE} when nothing was traded
   */
  public record Evening(double shares, long close) {}

  public EarlierMinutes {
    evenings = Map.copyOf(evenings);
    Map<Integer, NavigableMap<Long, Long>> copied = new HashMap<>();
    closes.forEach(
        (security, ends) ->
            copied.put(security, Collections.unmodifiableNavigableMap(new TreeMap<>(ends))));
    closes = Map.copyOf(copied);
  }

  /** The evening before; null when it was not recorded. */
  public @Nullable Evening evening(int security) {
    return evenings.get(security);
  }

  /**
   * The close of the newest minute bar of the same day that had ended by a moment; {@link
   * Price#NONE} without one. Only for securities and days with news.
   */
  public long priceAt(int security, long moment) {
    NavigableMap<Long, Long> ends = closes.get(security);
    Map.Entry<Long, Long> newest = ends == null ? null : ends.floorEntry(moment);
    long midnight = Math.floorDiv(moment, DayTime.DAY) * DayTime.DAY;
    return newest == null || newest.getKey() < midnight ? Price.NONE : newest.getValue();
  }
}
