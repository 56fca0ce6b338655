package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** Steps of a quiet climb: a rise of 1%, a pullback of at most half of it, a higher high. */
final class StairStep extends RememberingDetector {
  private static final int BASE = 0;
  private static final int HIGH = 1;
  private static final int PULL = 2;
  private static final int LAST_LOW = 3;
  private static final int STEPS = 4;
  private static final int STEP_AT = 5;
  private static final int MIN_RISE_PART = 100;
  private static final long MAX_STEP = 30 * DayTime.MINUTE;

  private final int fromStep;

  StairStep(Session session, int fromStep) {
    super(session, Effect.PRICE, 6);
    this.fromStep = fromStep;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    long price = state.lastPrice();
    long steps = memory.get(id, STEPS);
    boolean over =
        steps > 0 && (price < memory.get(id, LAST_LOW) || now - memory.get(id, STEP_AT) > MAX_STEP);
    if (over || memory.get(id, BASE) == Price.NONE || price < memory.get(id, BASE)) {
      begin(id, price);
      return false;
    }
    long high = memory.get(id, HIGH);
    long rise = high - memory.get(id, BASE);
    if (price < high) {
      long pull = Math.min(price, memory.get(id, PULL));
      memory.set(id, PULL, pull);
      if (2 * (high - pull) > rise && rise * MIN_RISE_PART >= memory.get(id, BASE)) {
        begin(id, price);
      }
      return false;
    }
    return price > high && climbs(id, price, rise, now);
  }

  /** A higher high: a step when there was a rise and a pullback before it. */
  private boolean climbs(int id, long price, long rise, long now) {
    long pull = memory.get(id, PULL);
    boolean step = pull < memory.get(id, HIGH) && rise * MIN_RISE_PART >= memory.get(id, BASE);
    memory.set(id, HIGH, price);
    if (!step) {
      return false;
    }
    memory.set(id, BASE, pull);
    memory.set(id, LAST_LOW, pull);
    memory.set(id, PULL, Long.MAX_VALUE);
    memory.set(id, STEP_AT, now);
    memory.set(id, STEPS, memory.get(id, STEPS) + 1);
    return memory.get(id, STEPS) >= fromStep;
  }

  private void begin(int id, long price) {
    memory.set(id, BASE, price);
    memory.set(id, HIGH, price);
    memory.set(id, PULL, Long.MAX_VALUE);
    memory.set(id, STEPS, 0);
  }
}
