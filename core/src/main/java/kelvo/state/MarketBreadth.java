package kelvo.state;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import kelvo.history.DailyBarList;
import kelvo.session.KnownEvent;
import kelvo.session.Security;
import kelvo.session.SecurityFacts;
import kelvo.session.SecurityKind;
import kelvo.session.Session;
import kelvo.tape.Price;
import org.jspecify.annotations.Nullable;

/**
 * How the market as a whole stands at a moment: the same numbers as the fields of the market.
 *
 * @param shareUp share of the common stocks with a print today whose price is above the previous
 *     close, per cent; NaN when none has one
 * @param movers common stocks more than 10% away from it
 * @param usualMovers median number of such stocks at the close of the last 20 sessions; NaN without
 *     history
 * @param benchmarks each benchmark's change
 * @param next the next known event of the whole market; null when none is left today
 */
public record MarketBreadth(
    double shareUp,
    int movers,
    double usualMovers,
    List<Benchmark> benchmarks,
    @Nullable KnownEvent next) {
  /** A benchmark's change in per cent; NaN when unknown. */
  public record Benchmark(String symbol, double changePercent) {}

  private static final int SESSIONS = 20;
  private static final double MOVER = 10;

  /** The median number of movers over the last 20 sessions; worked out once a session. */
  public static double usualMovers(Session session) {
    return (double) session.workedOut("usual movers", () -> medianMovers(session));
  }

  private static double medianMovers(Session session) {
    int[] counts = new int[SESSIONS];
    int longest = 0;
    for (SecurityFacts facts : session.securities()) {
      DailyBarList bars = facts.history().bars();
      if (facts.security().kind() != SecurityKind.COMMON_STOCK) {
        continue;
      }
      for (int back = 0; back < SESSIONS && back + 1 < bars.size(); back++) {
        int i = bars.size() - 1 - back;
        counts[back] += mover(bars.close(i), bars.close(i - 1)) ? 1 : 0;
        longest = Math.max(longest, back + 1);
      }
    }
    int[] known = Arrays.copyOf(counts, longest);
    Arrays.sort(known);
    return longest == 0 ? Double.NaN : (known[(longest - 1) / 2] + known[longest / 2]) / 2.0;
  }

  /** The breadth of a market at a moment. */
  public static MarketBreadth of(Market market, long now) {
    Session session = market.session();
    MarketGauge gauge = Objects.requireNonNull(market.gauge(), "one security is looked at alone");
    List<Benchmark> benchmarks = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      Security security = session.security(i).security();
      if (security.benchmark()) {
        SymbolState state = market.states().get(i);
        long close = state.previousClose();
        benchmarks.add(
            new Benchmark(
                security.symbol(),
                close == Price.NONE ? Double.NaN : 100.0 * (state.price() - close) / close));
      }
    }
    return new MarketBreadth(
        gauge.shareUp(),
        gauge.movers(),
        usualMovers(session),
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
