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
  private static final int SINCE = 2;
  private static final int OPENED = 3;
  private static final long OPENING = 5 * DayTime.MINUTE;
  private static final long STANDS = 30 * DayTime.SECOND;
  private static final int MOVED_PART = 100;
  private static final double NEAR_PERCENT = 1;
  private static final double AWAY_PERCENT = 2;

  private final ReferencePrices references;

  BandNear(Session session) {
    super(session, Effect.ELIGIBLE, 4);
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

  private @Nullable VolatilityBand band(SymbolState state, long now) {
    long mean = references.mean(state, now);
    if (mean == Price.NONE) {
      return null;
    }
    long close = state.previousClose() == Price.NONE ? state.open() : state.previousClose();
    return VolatilityBand.around(
        reference(state, mean, now),
        close,
        session.security(state.id()).security(),
        session.hours(),
        now);
  }

  /**
   * The reference is the official open if that comes by 09:35, and before it the mean of the prints
   * so far; a mean that has moved 1% or more from it takes its place once it has stood for 30
   * seconds.
   */
  private long reference(SymbolState state, long mean, long now) {
    int id = state.id();
    long reference = memory.get(id, REFERENCE);
    boolean opens =
        memory.get(id, OPENED) == 0
            && state.officialOpen() != Price.NONE
            && now <= SessionHours.OPEN + OPENING;
    boolean moved =
        Math.abs(mean - reference) * MOVED_PART >= reference
            && now - memory.get(id, SINCE) >= STANDS;
    if (opens || reference == Price.NONE || moved) {
      reference = opens ? state.officialOpen() : mean;
      memory.set(id, REFERENCE, reference);
      memory.set(id, SINCE, now);
      memory.set(id, OPENED, opens ? 1 : memory.get(id, OPENED));
    }
    return reference;
  }

  @Override
  public void forget(int security) {
    super.forget(security);
    references.forget(security);
  }
}
