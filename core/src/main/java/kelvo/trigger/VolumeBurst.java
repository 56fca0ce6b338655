package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;

/** The volume of five minutes passes a multiple of what is usual at that time of day. */
final class VolumeBurst extends RememberingDetector {
  private static final long FIVE_MINUTES = 5 * DayTime.MINUTE;

  private final double times;
  private final double least;

  VolumeBurst(Session session, double times, double least) {
    super(session, Effect.PRINT, 0);
    this.times = times;
    this.least = least;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    double usual = session.usualVolume().meanOf(FIVE_MINUTES, state.id(), now);
    double bound = Math.max(least, times * usual);
    if (!(usual > 0)) {
      return false;
    }
    long volume = state.shares(SlidingSpan.FIVE_MINUTES, now);
    return volume >= bound && volume - state.correctedShares(event) < bound;
  }
}
