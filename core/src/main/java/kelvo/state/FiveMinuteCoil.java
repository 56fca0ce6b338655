package kelvo.state;

import kelvo.history.Coil;
import kelvo.session.Session;

/**
 * The {@link Coil} of a session's 5-minute bars from 04:00 on, the running bar's close included.
 * Bars are made from the tape as far as a security's state has come; five minutes without a print
 * carry no bar. Owned by one thread; does not allocate when asked, but for a security's first time.
 */
public final class FiveMinuteCoil {
  private final TapeFollower<FiveMinuteBars> bars;

  /** Nothing is known yet. */
  public FiveMinuteCoil(Session session) {
    bars = new TapeFollower<>(session, () -> new FiveMinuteBars(session.tape(), session.hours()));
  }

  /** Whether a security is coiled: 1, 0 or unknown (NaN) before 21 bars are complete. */
  public double at(SymbolState state) {
    return bars.of(state).now();
  }

  /** Bars since it changed, the running one included; NaN when unknown. */
  public double barsSince(SymbolState state) {
    return bars.of(state).since();
  }
}
