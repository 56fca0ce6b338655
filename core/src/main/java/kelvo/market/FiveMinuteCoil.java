package kelvo.market;

import java.util.Arrays;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * The {@link Coil} of a session's 5-minute bars from 04:00 on, the running bar's close included.
 * Bars are made from the tape as far as a security's state has come; five minutes without a print
 * carry no bar. Owned by one thread; does not allocate when asked, but for a security's first time.
 */
public final class FiveMinuteCoil {
  private static final long SPAN = 5 * DayTime.MINUTE;
  private static final int MOST_BARS = (int) ((DayTime.LAST - DayTime.FIRST) / SPAN) + 1;

  private final Session session;
  private final @Nullable Bars[] bars;

  /** Nothing is known yet. */
  public FiveMinuteCoil(Session session) {
    this.session = session;
    bars = new Bars[session.securities().size()];
  }

  /** Whether a security is coiled: 1, 0 or unknown (NaN) before 21 bars are complete. */
  public double at(SymbolState state) {
    return of(state).now();
  }

  /** Bars since it changed, the running one included; NaN when unknown. */
  public double barsSince(SymbolState state) {
    return of(state).since();
  }

  private Bars of(SymbolState state) {
    Bars known = bars[state.id()];
    if (known == null) {
      known = new Bars();
      bars[state.id()] = known;
    }
    known.follow(state);
    return known;
  }

  private final class Bars {
    private final double[] closes = new double[MOST_BARS];
    private int count;
    private int reached = EventTape.NONE;
    private long span = -1;
    private long high;
    private long low;
    private long close;
    private double sum;
    private double ema;
    private double atr;
    private double state = Double.NaN;
    private int same;

    /**
     * Takes the events that the state holds and these bars do not; all anew, as they stand
     * corrected now, when one of them corrects an earlier one.
     */
    void follow(SymbolState symbol) {
      if (reached > symbol.lastEvent() || corrected(symbol)) {
        begin();
      }
      for (int event = next(symbol, reached);
          event != EventTape.NONE;
          event = next(symbol, event)) {
        take(symbol, event);
      }
    }

    private boolean corrected(SymbolState symbol) {
      for (int event = reached; event != EventTape.NONE; event = next(symbol, event)) {
        if (event != reached && session.tape().kind(event) == EventKind.CORRECTION) {
          return true;
        }
      }
      return false;
    }

    /** The event after one, as far as the state has come. */
    private int next(SymbolState symbol, int event) {
      EventTape tape = session.tape();
      int next =
          event == EventTape.NONE ? tape.firstOfSymbol(symbol.id()) : tape.laterOfSymbol(event);
      return next > symbol.lastEvent() ? EventTape.NONE : next;
    }

    private void begin() {
      count = 0;
      reached = EventTape.NONE;
      span = -1;
      close = Price.NONE;
      sum = 0;
      atr = 0;
      state = Double.NaN;
      same = 0;
      Arrays.fill(closes, 0);
    }

    private void take(SymbolState symbol, int event) {
      reached = event;
      EventTape tape = session.tape();
      if (!tape.isTrade(event) || symbol.cancels(event)) {
        return;
      }
      long at = tape.time(event);
      int flags = TapeRules.flags(tape.conditions(event), session.hours().regular(at));
      if ((flags & TapeRules.HIGH_LOW) == 0) {
        return;
      }
      long price = symbol.correctedPrice(event);
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

    double now() {
      return count <= Coil.BARS || close == Price.NONE
          ? Double.NaN
          : Coil.of(
              closes,
              count + 1 - Coil.BARS,
              Price.dollars(close),
              Averages.emaStep(ema, Price.dollars(close), Coil.BARS),
              atr);
    }

    double since() {
      double now = now();
      if (Double.isNaN(now) || Double.isNaN(state)) {
        return Double.NaN;
      }
      return now == state ? same + 1 : 0;
    }
  }
}
