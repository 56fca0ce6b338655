package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;

/**
 * The volume of five minutes is at least a multiple of what is usual at that time of day, and a
 * floor, and was not before. What is usual changes with the clock, so that it may come about
 * without a print; where nothing is usual the floor alone decides.
 */
final class VolumeBurst extends RememberingDetector implements TimedDetector {
  private static final SlidingSpan SPAN = SlidingSpan.FIVE_MINUTES;
  private static final long FIVE_MINUTES = 5 * DayTime.MINUTE;
  private static final int INSIDE = 0;

  /** Sums of fractions may be off by this much, so that a look is rather a little too early. */
  private static final long ROUNDING = DayTime.MILLISECOND;

  private final double times;
  private final double least;

  VolumeBurst(Session session, double times, double least) {
    super(session, Effect.PRINT, 1);
    this.times = times;
    this.least = least;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    long volume = state.shares(SPAN, now);
    boolean counts = session.tape().time(event) > now - FIVE_MINUTES;
    long without = counts ? volume - state.correctedShares(event) : volume;
    double bound = bound(state.id(), now);
    boolean was = was(state.id(), holds(volume, bound));
    return holds(volume, bound) && !(was && holds(without, bound));
  }

  @Override
  public boolean firesByTime(SymbolState state, long now) {
    boolean inside = holds(state.shares(SPAN, now), bound(state.id(), now));
    return !was(state.id(), inside) && inside;
  }

  /** Whether it held at the last look; notes whether it does now. */
  private boolean was(int security, boolean inside) {
    boolean before = memory.get(security, INSIDE) != 0;
    memory.set(security, INSIDE, inside ? 1 : 0);
    return before;
  }

  private double bound(int security, long now) {
    return Math.max(least, multiple(security, now));
  }

  private double multiple(int security, long now) {
    return times * session.earlier().volume().meanOf(FIVE_MINUTES, security, now);
  }

  /** Never when the bound is unknown (NaN). */
  private static boolean holds(long volume, double bound) {
    return volume > 0 && volume >= bound;
  }

  /**
   * Within a minute of the day the multiple of what is usual is a straight line. While the volume
   * is below it, only its fall can let the volume in; while it is above, a print that leaves or a
   * rising line puts it out, which the next look must know.
   */
  @Override
  public long nextLook(SymbolState state, long now) {
    long volume = state.shares(SPAN, now);
    double line = multiple(state.id(), now);
    if (volume == 0 || volume < least || Double.isNaN(line)) {
      return Long.MAX_VALUE;
    }
    long minute = now - now % DayTime.MINUTE + DayTime.MINUTE;
    if (volume >= line) {
      return Math.min(minute, state.nextChange(SPAN, now));
    }
    double lineThen = multiple(state.id(), minute);
    if (volume < lineThen) {
      return minute;
    }
    double part = (line - volume) / (line - lineThen);
    return Math.max(now + 1, now + (long) (part * (minute - now)) - ROUNDING);
  }
}
