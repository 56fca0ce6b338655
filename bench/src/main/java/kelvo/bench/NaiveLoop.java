package kelvo.bench;

import java.util.List;
import java.util.Objects;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.state.Market;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;

/** Asks every scan about a print's security after each print, rule by rule until one fails. */
final class NaiveLoop {
  private final Session session;
  private final Market market;
  private final ScanCheck[] checks;
  private final long[] inside;

  NaiveLoop(Session session, List<Scan> scans) {
    this.session = session;
    market = Market.of(session);
    checks = scans.stream().map(scan -> new ScanCheck(scan, session)).toArray(ScanCheck[]::new);
    inside = new long[session.securities().size()];
  }

  /** Plays the session and returns how often a security entered a scan. */
  long run() {
    EventTape tape = session.tape();
    long entered = 0;
    for (int event = 0; event < tape.size(); event++) {
      long now = tape.time(event);
      SymbolState state = market.states().get(tape.symbol(event));
      state.apply(event);
      Objects.requireNonNull(market.gauge()).priced(state);
      int phase = session.phases().indexAt(now);
      long mask = 0;
      for (int k = 0; k < checks.length; k++) {
        mask |= checks[k].holds(state, now, phase) ? 1L << k : 0;
      }
      entered += Long.bitCount(mask & ~inside[state.id()]);
      inside[state.id()] = mask;
    }
    return entered;
  }
}
