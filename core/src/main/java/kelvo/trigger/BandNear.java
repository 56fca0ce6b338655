package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.ReferencePrices;
import kelvo.state.SymbolState;
import kelvo.state.VolatilityBand;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/** Price comes within 1% of the price band at which trading would be paused. */
final class BandNear extends RememberingDetector {
  private static final int NEAR = 0;
  private static final int REFERENCE = 1;
  private static final int MOVED_PART = 100;
  private static final double NEAR_PERCENT = 1;
  private static final double AWAY_PERCENT = 2;

  private final ReferencePrices references;

  BandNear(Session session) {
    super(session, Effect.PRICE, 2);
    references = new ReferencePrices(session);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    VolatilityBand band = band(state, now);
    if (band == null) {
      return false;
    }
    double distance = band.distancePercent(state.lastPrice());
    boolean was = memory.get(state.id(), NEAR) != 0;
    boolean near = was ? distance < AWAY_PERCENT : distance <= NEAR_PERCENT;
    memory.set(state.id(), NEAR, near ? 1 : 0);
    return near && !was;
  }

  /**
   * The reference is at first the opening price, and the mean of the last five minutes' prints
   * whenever that has moved 1% or more from it.
   */
  private @Nullable VolatilityBand band(SymbolState state, long now) {
    if (state.open() == Price.NONE) {
      return null;
    }
    int id = state.id();
    long mean = references.mean(state, now);
    long reference = memory.get(id, REFERENCE);
    if (reference == Price.NONE) {
      reference = state.open();
    } else if (mean != Price.NONE
        && now >= SessionHours.OPEN + 5 * DayTime.MINUTE
        && Math.abs(mean - reference) * MOVED_PART >= reference) {
      reference = mean;
    }
    memory.set(id, REFERENCE, reference);
    return VolatilityBand.around(
        reference,
        state.previousClose(),
        session.security(id).security().tier(),
        session.hours(),
        now);
  }

  @Override
  public void forget(int security) {
    super.forget(security);
    references.forget(security);
  }
}
