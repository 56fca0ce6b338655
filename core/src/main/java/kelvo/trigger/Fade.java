package kelvo.trigger;

import kelvo.market.Effect;
import kelvo.market.Price;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.time.DayTime;

/**
 * After a high late enough: a lower high, then a print below the last swing low of 1-minute bars.
 */
final class Fade extends RememberingDetector {
  private static final int MINUTE = 0;
  private static final int BAR_HIGH = 1;
  private static final int BAR_LOW = 2;
  private static final int HIGH_1 = 3;
  private static final int LOW_1 = 4;
  private static final int HIGH_2 = 5;
  private static final int LOW_2 = 6;
  private static final int SWING_LOW = 7;
  private static final int HIGH_AT = 8;
  private static final int LOWER_HIGH = 9;
  private static final int DAYS_HIGH = 10;

  private final double percent;
  private final long notBefore;

  Fade(Session session, double percent, long notBefore) {
    super(session, Effect.PRICE, 11);
    this.percent = percent;
    this.notBefore = notBefore;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    long price = state.lastPrice();
    long minute = now / DayTime.MINUTE;
    if (minute != memory.get(id, MINUTE)) {
      closeBar(id);
      memory.set(id, MINUTE, minute);
      memory.set(id, BAR_HIGH, price);
      memory.set(id, BAR_LOW, price);
    }
    memory.set(id, BAR_HIGH, Math.max(memory.get(id, BAR_HIGH), price));
    memory.set(id, BAR_LOW, Math.min(memory.get(id, BAR_LOW), price));
    if (state.dayHigh() > memory.get(id, DAYS_HIGH)) {
      memory.set(id, DAYS_HIGH, state.dayHigh());
      memory.set(id, HIGH_AT, now);
      memory.set(id, LOWER_HIGH, 0);
      return false;
    }
    boolean breaks =
        memory.get(id, LOWER_HIGH) != 0
            && memory.get(id, HIGH_AT) >= notBefore
            && price < memory.get(id, SWING_LOW)
            && 100.0 * (price - state.previousClose()) >= percent * state.previousClose();
    if (breaks) {
      memory.set(id, LOWER_HIGH, 0);
    }
    return breaks;
  }

  /** Looks at the bar before the last for a swing, and moves the bars on. */
  private void closeBar(int id) {
    long high = memory.get(id, BAR_HIGH);
    long low = memory.get(id, BAR_LOW);
    long middleHigh = memory.get(id, HIGH_1);
    long middleLow = memory.get(id, LOW_1);
    if (memory.get(id, HIGH_2) != Price.NONE) {
      if (middleLow < low && middleLow < memory.get(id, LOW_2)) {
        memory.set(id, SWING_LOW, middleLow);
      }
      boolean swingHigh = middleHigh > high && middleHigh > memory.get(id, HIGH_2);
      if (swingHigh && middleHigh < memory.get(id, DAYS_HIGH)) {
        memory.set(id, LOWER_HIGH, 1);
      }
    }
    memory.set(id, HIGH_2, middleHigh);
    memory.set(id, LOW_2, middleLow);
    memory.set(id, HIGH_1, high);
    memory.set(id, LOW_1, low);
  }
}
