package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.BandReference;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.state.TapeFollower;

/** Price comes within 1% of the price band at which trading would be paused. */
final class BandNear extends RememberingDetector {
  private static final int NEAR = 0;
  private static final double NEAR_PERCENT = 1;
  private static final double AWAY_PERCENT = 2;

  private final TapeFollower<BandReference> references;

  BandNear(Session session) {
    super(session, Effect.ELIGIBLE, 1);
    references = BandReference.of(session);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    double distance = references.of(state).distancePercent(now);
    if (Double.isNaN(distance)) {
      return false;
    }
    boolean was = memory.get(state.id(), NEAR) != 0;
    boolean near = was ? distance < AWAY_PERCENT : distance <= NEAR_PERCENT;
    memory.set(state.id(), NEAR, near ? 1 : 0);
    return near && !was;
  }
}
