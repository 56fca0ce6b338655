package kelvo.state;

import kelvo.session.SecurityFacts;
import kelvo.tape.Price;
import kelvo.session.KnownEvent;
import kelvo.session.SecurityKind;
import kelvo.session.Security;
import kelvo.history.DailyBar;
import kelvo.session.Session;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import org.jspecify.annotations.Nullable;

/**
 * The market as a whole at a moment.
 *
 * @param shareUp share of common stocks whose price is above the previous close, 0 to 1; NaN when
 *     none has a price
 * @param movers common stocks more than 10% away from it
 * @param usualMovers median number of such stocks at the close of the last 20 sessions; NaN without
 *     history
 * @param benchmarks each benchmark's change
 * @param next the next known event of the whole market; null when none is left today
 */
public record Weather(
    double shareUp,
    int movers,
    double usualMovers,
    List<Benchmark> benchmarks,
    @Nullable KnownEvent next) {
  /** A benchmark's change in per cent; NaN when unknown. */
  public record Benchmark(String symbol, double changePercent) {}

  private static final int SESSIONS = 20;
  private static final double MOVER = 10;

  /** The median number of movers over the last 20 sessions. Costs a pass over the daily history. */
  public static double usualMovers(Session session) {
    int[] counts = new int[SESSIONS];
    int longest = 0;
    for (SecurityFacts facts : session.securities()) {
      List<DailyBar> bars = facts.history().bars();
      if (facts.security().kind() != SecurityKind.COMMON_STOCK) {
        continue;
      }
      for (int back = 0; back < SESSIONS && back + 1 < bars.size(); back++) {
        int i = bars.size() - 1 - back;
        counts[back] += mover(bars.get(i).close(), bars.get(i - 1).close()) ? 1 : 0;
        longest = Math.max(longest, back + 1);
      }
    }
    int[] known = Arrays.copyOf(counts, longest);
    Arrays.sort(known);
    return longest == 0 ? Double.NaN : (known[(longest - 1) / 2] + known[longest / 2]) / 2.0;
  }

  /** The weather at a moment; {@code states} gives each security's state then. */
  public static Weather of(
      Session session, IntFunction<SymbolState> states, long now, double usualMovers) {
    int up = 0;
    int known = 0;
    int movers = 0;
    List<Benchmark> benchmarks = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      Security security = session.security(i).security();
      SymbolState state = states.apply(i);
      long close = state.previousClose();
      if (security.benchmark()) {
        benchmarks.add(
            new Benchmark(
                security.symbol(),
                close == Price.NONE ? Double.NaN : 100.0 * (state.price() - close) / close));
      }
      if (security.kind() == SecurityKind.COMMON_STOCK
          && close != Price.NONE
          && state.priceSource() != PriceSource.PREVIOUS_CLOSE) {
        known++;
        up += state.price() > close ? 1 : 0;
        movers += mover(state.price(), close) ? 1 : 0;
      }
    }
    return new Weather(
        known == 0 ? Double.NaN : up / (double) known,
        movers,
        usualMovers,
        List.copyOf(benchmarks),
        next(session, now));
  }

  private static boolean mover(long price, long close) {
    return Math.abs(100.0 * (price - close)) > MOVER * close;
  }

  private static @Nullable KnownEvent next(Session session, long now) {
    KnownEvent next = null;
    for (KnownEvent event : session.knownEvents()) {
      if (event.symbol().isEmpty()
          && event.at() > now
          && (next == null || event.at() < next.at())) {
        next = event;
      }
    }
    return next;
  }
}
