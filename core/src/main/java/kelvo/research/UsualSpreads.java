package kelvo.research;

import java.util.Arrays;
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

  /**
   * A recorded session.
   *
   * @param symbols in the order of the spreads
   */
  public record Recorded(List<String> symbols, SessionSpreads spreads) {
    public Recorded {
      symbols = List.copyOf(symbols);
    }
  }

  private UsualSpreads(Map<String, long[]> bySymbol) {
    this.bySymbol = bySymbol;
  }

  /** Those of recorded sessions. */
  public static UsualSpreads of(List<Recorded> sessions) {
    Map<String, long[][]> known = new HashMap<>();
    for (int session = 0; session < sessions.size(); session++) {
      Recorded recorded = sessions.get(session);
      for (int i = 0; i < recorded.symbols().size(); i++) {
        long[][] hours =
            known.computeIfAbsent(
                recorded.symbols().get(i), s -> new long[SessionSpreads.HOURS][sessions.size()]);
        for (int hour = 0; hour < SessionSpreads.HOURS; hour++) {
          hours[hour][session] = recorded.spreads().at(i, hour);
        }
      }
    }
    Map<String, long[]> usual = new HashMap<>();
    known.forEach(
        (symbol, hours) ->
            usual.put(symbol, Arrays.stream(hours).mapToLong(UsualSpreads::median).toArray()));
    return new UsualSpreads(usual);
  }

  private static long median(long[] sessions) {
    long[] quoted = Arrays.stream(sessions).filter(spread -> spread > 0).sorted().toArray();
    return quoted.length == 0 ? 0 : SessionSpreads.median(quoted);
  }

  /** The spread of a symbol at a moment of any day, dollars; 0 when none was recorded. */
  public double at(String symbol, long moment) {
    long[] hours = bySymbol.get(symbol);
    return hours == null ? 0 : hours[SessionSpreads.hour(moment)] / (double) Price.DOLLAR;
  }

  /** A row of a table: one for each symbol and hour that is known. */
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
