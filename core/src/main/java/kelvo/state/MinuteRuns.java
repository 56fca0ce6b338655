package kelvo.state;

import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * How many 1-minute bars in a row closed higher or lower than the one before, and above or below
 * the VWAP in force at their end. A bar is complete once its minute is over; a minute without an
 * eligible print carries no bar.
 */
public final class MinuteRuns extends TapeFollower.Made {
  private static final int NONE = -1;

  private final EventTape tape;
  private final SessionHours hours;
  private int minute;
  private long close;
  private long closeAt;
  private long closeBefore;
  private int rising;
  private int above;
  private int newestMinute;
  private long moneyFromFour;
  private long sharesFromFour;
  private long moneyFromOpen;
  private long sharesFromOpen;
  private int sideMinute;
  private int side;

  MinuteRuns(Session session) {
    tape = session.tape();
    hours = session.hours();
    begin();
  }

  /** Those of a session's securities. */
  public static TapeFollower<MinuteRuns> of(Session session) {
    return new TapeFollower<>(session, () -> new MinuteRuns(session));
  }

  @Override
  void begin() {
    minute = NONE;
    newestMinute = NONE;
    sideMinute = NONE;
    close = Price.NONE;
    closeAt = 0;
    closeBefore = Price.NONE;
    rising = 0;
    above = 0;
    moneyFromFour = 0;
    sharesFromFour = 0;
    moneyFromOpen = 0;
    sharesFromOpen = 0;
  }

  @Override
  void take(int event, Corrections corrections) {
    if (!tape.isTrade(event) || corrections.cancels(tape, event)) {
      return;
    }
    long at = tape.time(event);
    int ofMinute = (int) (at / DayTime.MINUTE);
    int flags = TapeRules.flags(tape.conditions(event), hours.regular(at));
    long price = corrections.price(tape, event);
    if (ofMinute > newestMinute) {
      endMinute();
      newestMinute = ofMinute;
    }
    if ((flags & TapeRules.VWAP) != 0) {
      count(corrections.shares(tape, event), price, (flags & TapeRules.REGULAR) != 0);
    }
    boolean last =
        (flags & TapeRules.LAST) != 0
            || ((flags & TapeRules.LAST_WHEN_FIRST) != 0 && close == Price.NONE);
    if (last && at >= closeAt) {
      if (ofMinute != minute) {
        rising = risingMinutes(Long.MAX_VALUE);
        above = minutesAbove(Long.MAX_VALUE);
        closeBefore = close;
        minute = ofMinute;
      }
      close = price;
      closeAt = at;
    }
  }

  /** What is traded from now on no longer counts in the VWAP at the end of the bar's minute. */
  private void endMinute() {
    if (sideMinute != minute) {
      side = sideOfBar();
      sideMinute = minute;
    }
  }

  private void count(long shares, long price, boolean regular) {
    moneyFromFour += shares * price;
    sharesFromFour += shares;
    if (regular) {
      moneyFromOpen += shares * price;
      sharesFromOpen += shares;
    }
  }

  /** On which side of the VWAP the running bar's close is now: 1 above, -1 below. */
  private int sideOfBar() {
    boolean early = minute * DayTime.MINUTE < SessionHours.OPEN;
    long shares = early ? sharesFromFour : sharesFromOpen;
    return shares == 0 ? 0 : Long.compare(close * shares, early ? moneyFromFour : moneyFromOpen);
  }

  private boolean isComplete(long now) {
    return minute != NONE && now / DayTime.MINUTE > minute;
  }

  /** Complete bars in a row that closed higher, below 0 that closed lower. */
  public int risingMinutes(long now) {
    boolean compared = isComplete(now) && closeBefore != Price.NONE;
    return compared ? goOn(rising, Long.compare(close, closeBefore)) : rising;
  }

  /** Complete bars in a row that closed above the VWAP, below 0 under it. */
  public int minutesAbove(long now) {
    return isComplete(now) ? goOn(above, sideMinute == minute ? side : sideOfBar()) : above;
  }

  private static int goOn(int run, int way) {
    return way * run > 0 ? run + way : way;
  }
}
