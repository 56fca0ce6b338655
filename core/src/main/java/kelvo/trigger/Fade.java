package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * After a high late enough: a lower high, then a print below the last swing low of 1-minute bars,
 * or below the line that the last two of them draw.
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
  private static final int SWING_LOW_AT = 11;
  private static final int SWING_LOW_BEFORE = 12;
  private static final int SWING_LOW_BEFORE_AT = 13;
  private static final int MINUTE_1 = 14;

  private final double percent;
  private final long notBefore;

  private final boolean belowLine;

  Fade(Session session, double percent, long notBefore, boolean belowLine) {
    super(session, Effect.ELIGIBLE, 15);
    this.belowLine = belowLine;
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
            && price < floor(id, minute)
            && 100.0 * (price - state.previousClose()) >= percent * state.previousClose();
    if (breaks) {
      memory.set(id, LOWER_HIGH, 0);
    }
    return breaks;
  }

  /** The price below which it fades; 0 while the line does not rise. */
  private double floor(int id, long minute) {
    long low = memory.get(id, SWING_LOW);
    if (!belowLine) {
      return low;
    }
    long earlier = memory.get(id, SWING_LOW_BEFORE);
    long lowAt = memory.get(id, SWING_LOW_AT);
    long minutes = lowAt - memory.get(id, SWING_LOW_BEFORE_AT);
    return earlier == Price.NONE || low <= earlier || minutes <= 0
        ? 0
        : low + (low - earlier) / (double) minutes * (minute - lowAt);
  }

  /** Looks at the bar before the last for a swing, and moves the bars on. */
  private void closeBar(int id) {
    long high = memory.get(id, BAR_HIGH);
    long low = memory.get(id, BAR_LOW);
    long middleHigh = memory.get(id, HIGH_1);
    long middleLow = memory.get(id, LOW_1);
    if (memory.get(id, HIGH_2) != Price.NONE) {
      if (middleLow < low && middleLow < memory.get(id, LOW_2)) {
        memory.set(id, SWING_LOW_BEFORE, memory.get(id, SWING_LOW));
        memory.set(id, SWING_LOW_BEFORE_AT, memory.get(id, SWING_LOW_AT));
        memory.set(id, SWING_LOW, middleLow);
        memory.set(id, SWING_LOW_AT, memory.get(id, MINUTE_1));
      }
      boolean swingHigh = middleHigh > high && middleHigh > memory.get(id, HIGH_2);
      if (swingHigh && middleHigh < memory.get(id, DAYS_HIGH)) {
        memory.set(id, LOWER_HIGH, 1);
      }
    }
    memory.set(id, MINUTE_1, memory.get(id, MINUTE));
    memory.set(id, HIGH_2, middleHigh);
    memory.set(id, LOW_2, middleLow);
    memory.set(id, HIGH_1, high);
    memory.set(id, LOW_1, low);
  }
}
