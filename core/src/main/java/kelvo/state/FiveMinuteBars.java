package kelvo.state;

import java.util.Arrays;
import kelvo.history.Averages;
import kelvo.history.Coil;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * The 5-minute bars of one security from 04:00 on and whether they are coiled, print by print; five
 * minutes without a print carry no bar. See {@link Coil}; the running bar's close is included.
 */
public final class FiveMinuteBars extends TapeFollower.Made {
  private static final long SPAN = 5 * DayTime.MINUTE;
  private static final int MAX_BARS = (int) ((DayTime.LAST - DayTime.FIRST) / SPAN) + 1;

  private final EventTape tape;
  private final SessionHours hours;
  private final double[] closes = new double[MAX_BARS];
  private int count;
  private long span = -1;
  private long high;
  private long low;
  private long close;
  private double sum;
  private double ema;
  private double atr;
  private double state = Double.NaN;
  private int same;

  FiveMinuteBars(Session session) {
    tape = session.tape();
    hours = session.hours();
  }

  /** Those of a session's securities. */
  public static TapeFollower<FiveMinuteBars> of(Session session) {
    return new TapeFollower<>(session, () -> new FiveMinuteBars(session));
  }

  @Override
  void begin() {
    count = 0;
    span = -1;
    close = Price.NONE;
    sum = 0;
    atr = 0;
    state = Double.NaN;
    same = 0;
    Arrays.fill(closes, 0);
  }

  @Override
  void take(int event, Corrections corrections) {
    if (!tape.isTrade(event) || corrections.cancels(tape, event)) {
      return;
    }
    long at = tape.time(event);
    int flags = TapeRules.flags(tape.conditions(event), hours.regular(at));
    if ((flags & TapeRules.HIGH_LOW) == 0) {
      return;
    }
    long price = corrections.price(tape, event);
    if (close == Price.NONE || at / SPAN > span) {
      complete();
      span = at / SPAN;
      high = price;
      low = price;
      close = price;
    }
    high = Math.max(high, price);
    low = Math.min(low, price);
    close = (flags & TapeRules.LAST) != 0 ? price : close;
  }

  private void complete() {
    if (close == Price.NONE) {
      return;
    }
    double newest = Price.dollars(close);
    if (count > 0) {
      double before = closes[count - 1];
      double range = Math.max(Price.dollars(high), before) - Math.min(Price.dollars(low), before);
      atr += count <= Coil.BARS ? range / Coil.BARS : (range - atr) / Coil.BARS;
    }
    sum += count < Coil.BARS ? newest : 0;
    ema = count < Coil.BARS ? sum / Coil.BARS : Averages.emaStep(ema, newest, Coil.BARS);
    closes[count++] = newest;
    double now =
        count <= Coil.BARS ? Double.NaN : Coil.of(closes, count - Coil.BARS, newest, ema, atr);
    same = now == state ? same + 1 : 0;
    state = now;
  }

  /** Whether it is coiled: 1, 0 or unknown (NaN) before 21 bars are complete. */
  public double now() {
    return count <= Coil.BARS || close == Price.NONE
        ? Double.NaN
        : Coil.of(
            closes,
            count + 1 - Coil.BARS,
            Price.dollars(close),
            Averages.emaStep(ema, Price.dollars(close), Coil.BARS),
            atr);
  }

  /** Bars since that changed, the running one included; NaN when unknown. */
  public double since() {
    double now = now();
    if (Double.isNaN(now) || Double.isNaN(state)) {
      return Double.NaN;
    }
    return now == state ? same + 1 : 0;
  }
}
