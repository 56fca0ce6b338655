package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * Steps of a quiet climb. From a base, at first the first price: a rise of at least 1%; a pullback
 * from its high of at least 0.2% and two ticks and at most half of the rise; then a price over that
 * high, which is a step. The pullback is the base of the next one.
 */
final class StairStep extends RememberingDetector implements RestingDetector {
  private static final int BASE = 0;
  private static final int HIGH = 1;
  private static final int PULL = 2;
  private static final int STEPS = 3;
  private static final int BEGAN = 4;
  private static final int MIN_RISE_PART = 100;
  private static final int MIN_PULLBACK_PART = 500;
  private static final long MAX_STEP = 30 * DayTime.MINUTE;

  private final int fromStep;

  StairStep(Session session, int fromStep) {
    super(session, Effect.ELIGIBLE, 5);
    this.fromStep = fromStep;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    long price = state.lastPrice();
    boolean over = now - memory.get(id, BEGAN) > MAX_STEP;
    if (over || memory.get(id, BASE) == Price.NONE || price < memory.get(id, BASE)) {
      begin(id, price, now);
      return false;
    }
    if (price > memory.get(id, HIGH)) {
      return climbs(id, price, now);
    }
    memory.set(id, PULL, Math.min(price, memory.get(id, PULL)));
    if (rose(id) && 2 * pullback(id) > rise(id)) {
      begin(id, price, now);
    }
    return false;
  }

  /** Between the lowest price of the pullback and the high, until the step has taken too long. */
  @Override
  public void rest(SymbolState state, long now, Rest rest) {
    int id = state.id();
    // A price at the high is no pullback, whether it is noted or not.
    rest.within(Math.min(memory.get(id, PULL), memory.get(id, HIGH)), memory.get(id, HIGH));
    rest.until(memory.get(id, BEGAN) + MAX_STEP);
  }

  private long rise(int id) {
    return memory.get(id, HIGH) - memory.get(id, BASE);
  }

  private boolean rose(int id) {
    return rise(id) * MIN_RISE_PART >= memory.get(id, BASE);
  }

  /** How far the price has come back from the high; 0 while it has not. */
  private long pullback(int id) {
    return memory.get(id, HIGH) - Math.min(memory.get(id, HIGH), memory.get(id, PULL));
  }

  /** A bounce between bid and ask is no pullback. */
  private boolean pulledBack(int id) {
    long high = memory.get(id, HIGH);
    long tick = Price.tick(high);
    long pullback = pullback(id);
    return pullback * MIN_PULLBACK_PART >= high && pullback >= 2 * tick;
  }

  /** A higher high: a step when there was a rise and a pullback before it. */
  private boolean climbs(int id, long price, long now) {
    boolean step = rose(id) && pulledBack(id);
    long pull = memory.get(id, PULL);
    memory.set(id, HIGH, price);
    memory.set(id, PULL, Long.MAX_VALUE);
    if (!step) {
      return false;
    }
    memory.set(id, BASE, pull);
    memory.set(id, BEGAN, now);
    memory.set(id, STEPS, memory.get(id, STEPS) + 1);
    return memory.get(id, STEPS) >= fromStep;
  }

  private void begin(int id, long price, long now) {
    memory.set(id, BASE, price);
    memory.set(id, HIGH, price);
    memory.set(id, PULL, Long.MAX_VALUE);
    memory.set(id, STEPS, 0);
    memory.set(id, BEGAN, now);
  }
}
