package kelvo.research;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import kelvo.tape.Price;

/**
 * How wide the spread of securities usually was in an hour of the day: the median of the medians of
 * recorded sessions. Immutable.
 */
public final class UsualSpreads {
  /** Nothing was recorded. */
  public static final UsualSpreads NONE = new UsualSpreads(Map.of());

  private final Map<String, long[]> bySymbol;

  private UsualSpreads(Map<String, long[]> bySymbol) {
    this.bySymbol = bySymbol;
  }

  /**
   * Those of recorded sessions.
   *
   * @param symbols in the order of the sessions' securities
   */
  public static UsualSpreads of(List<String> symbols, List<SessionSpreads> sessions) {
    Map<String, long[]> usual = new HashMap<>();
    for (int i = 0; i < symbols.size(); i++) {
      long[] hours = new long[SessionSpreads.HOURS];
      for (int hour = 0; hour < SessionSpreads.HOURS; hour++) {
        hours[hour] = median(sessions, i, hour);
      }
      usual.put(symbols.get(i), hours);
    }
    return new UsualSpreads(usual);
  }

  private static long median(List<SessionSpreads> sessions, int security, int hour) {
    long[] quoted =
        sessions.stream()
            .mapToLong(session -> session.at(security, hour))
            .filter(spread -> spread > 0)
            .sorted()
            .toArray();
    return quoted.length == 0 ? 0 : SessionSpreads.median(quoted);
  }

  /**
   * The spread that stands for one that no quote tells: the usual one of the hour, or one tick when
   * that is more or none was recorded.
   *
   * @param moment {@link kelvo.time.DayTime} of any day
   * @param price of the symbol then
   * @return {@link Price} units, above 0
   */
  public long assumed(String symbol, long moment, long price) {
    long[] hours = bySymbol.get(symbol);
    return Math.max(Price.tick(price), hours == null ? 0 : hours[SessionSpreads.hour(moment)]);
  }

  /**
   * A row of a table: one for each symbol and hour that is known.
   *
   * @param spread {@link Price} units
   */
  public record Row(String symbol, int hour, long spread) {}

  /** All that are known, by symbol and hour. */
  public List<Row> rows() {
    return bySymbol.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .flatMap(
            entry ->
                IntStream.range(0, SessionSpreads.HOURS)
                    .filter(hour -> entry.getValue()[hour] > 0)
                    .mapToObj(hour -> new Row(entry.getKey(), hour, entry.getValue()[hour])))
        .toList();
  }
}
