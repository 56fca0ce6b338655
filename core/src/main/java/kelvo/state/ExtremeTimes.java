package kelvo.state;

import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.TapeRules;
import kelvo.time.SessionHours;

/** When the high and the low of regular hours were first reached. */
public final class ExtremeTimes extends TapeFollower.Made {
  /** There is no print yet. */
  public static final long NONE = -1;

  private final EventTape tape;
  private final SessionHours hours;
  private long high;
  private long low;
  private long highAt;
  private long lowAt;

  ExtremeTimes(Session session) {
    tape = session.tape();
    hours = session.hours();
    begin();
  }

  /** Those of a session's securities. */
  public static TapeFollower<ExtremeTimes> of(Session session) {
    return new TapeFollower<>(session, () -> new ExtremeTimes(session));
  }

  @Override
  void begin() {
    high = Long.MIN_VALUE;
    low = Long.MAX_VALUE;
    highAt = NONE;
    lowAt = NONE;
  }

  @Override
  void take(int event, Corrections corrections) {
    if (!tape.isTrade(event) || corrections.cancels(tape, event)) {
      return;
    }
    long at = tape.time(event);
    int flags = TapeRules.flags(tape.conditions(event), hours.regular(at));
    if ((flags & TapeRules.HIGH_LOW) == 0 || (flags & TapeRules.REGULAR) == 0) {
      return;
    }
    long price = corrections.price(tape, event);
    if (price > high) {
      high = price;
      highAt = at;
    }
    if (price < low) {
      low = price;
      lowAt = at;
    }
  }

  /** {@link kelvo.time.DayTime}; {@link #NONE} before the first print. */
  public long highAt() {
    return highAt;
  }

  /** {@link kelvo.time.DayTime}; {@link #NONE} before the first print. */
  public long lowAt() {
    return lowAt;
  }
}
