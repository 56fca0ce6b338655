package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SlidingSpan;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;

/** Two highs at one height with rising lows, then a print above them on no less volume. */
final class BaseBreak extends RememberingDetector implements RestingDetector {
  private static final int TOP = 0;
  private static final int TOP_AT = 1;
  private static final int FIRST_LOW = 2;
  private static final int TOUCHED = 3;
  private static final int SECOND_LOW = 4;
  private static final int VOLUME_AT_TOP = 5;
  private static final int STARTED = 6;
  private static final int NEAR_PART = 200;
  private static final long APART = 5 * DayTime.MINUTE;

  BaseBreak(Session session) {
    super(session, Effect.ELIGIBLE, 7);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    long price = state.lastPrice();
    if (memory.get(id, STARTED) == 0) {
      begin(state, price, now);
      return false;
    }
    long top = memory.get(id, TOP);
    if (price > top) {
      boolean broke = memory.get(id, TOUCHED) != 0 && rising(id) && busy(state, now);
      begin(state, price, now);
      return broke;
    }
    boolean near = (top - price) * NEAR_PART <= top;
    if (near && now - memory.get(id, TOP_AT) >= APART && memory.get(id, FIRST_LOW) < nearest(top)) {
      memory.set(id, TOUCHED, 1);
    }
    int low = memory.get(id, TOUCHED) == 0 ? FIRST_LOW : SECOND_LOW;
    memory.set(id, low, Math.min(memory.get(id, low), price));
    if (low == SECOND_LOW && !rising(id)) {
      begin(state, price, now);
    }
    return false;
  }

  /** Between its newest low and its top, but for a touch of the top that would count. */
  @Override
  public void rest(SymbolState state, long now, Rest rest) {
    int id = state.id();
    long top = memory.get(id, TOP);
    long firstLow = memory.get(id, FIRST_LOW);
    if (firstLow == Long.MAX_VALUE) {
      rest.within(top, top);
    } else if (memory.get(id, TOUCHED) != 0) {
      rest.within(memory.get(id, SECOND_LOW), top);
    } else if (firstLow >= nearest(top)) {
      rest.within(firstLow, top);
    } else if (state.lastPrice() >= nearest(top)) {
      rest.within(firstLow, top);
      rest.until(memory.get(id, TOP_AT) + APART - 1);
    } else {
      rest.within(firstLow, nearest(top) - 1);
    }
  }

  /** The lowest price that still counts as being at the top. */
  private static long nearest(long top) {
    return top - top / NEAR_PART;
  }

  private boolean rising(int id) {
    return memory.get(id, SECOND_LOW) > memory.get(id, FIRST_LOW);
  }

  private boolean busy(SymbolState state, long now) {
    double minutes = (now - memory.get(state.id(), TOP_AT)) / (double) DayTime.MINUTE;
    double mean = (state.volume() - memory.get(state.id(), VOLUME_AT_TOP)) / minutes;
    return state.shares(SlidingSpan.ONE_MINUTE, now) >= mean;
  }

  private void begin(SymbolState state, long price, long now) {
    int id = state.id();
    memory.set(id, STARTED, 1);
    memory.set(id, TOP, price);
    memory.set(id, TOP_AT, now);
    memory.set(id, FIRST_LOW, Long.MAX_VALUE);
    memory.set(id, SECOND_LOW, Long.MAX_VALUE);
    memory.set(id, TOUCHED, 0);
    memory.set(id, VOLUME_AT_TOP, state.volume());
  }
}
