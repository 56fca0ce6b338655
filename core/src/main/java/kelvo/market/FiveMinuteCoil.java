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

    /** Takes the events that the state holds and these bars do not. */
    void follow(SymbolState symbol) {
      EventTape tape = session.tape();
      if (reached > symbol.lastEvent()) {
        begin();
      }
      for (int event = after(tape, symbol);
          event != EventTape.NONE && event <= symbol.lastEvent();
          event = after(tape, symbol)) {
        if (tape.kind(event) == EventKind.CORRECTION && reached != EventTape.NONE) {
          begin();
          skipCorrections(symbol);
          return;
        }
        take(symbol, event);
      }
    }

    private int after(EventTape tape, SymbolState symbol) {
      return reached == EventTape.NONE
          ? tape.firstOfSymbol(symbol.id())
          : tape.laterOfSymbol(reached);
    }

    /** Takes all events anew, as they stand corrected now. */
    private void skipCorrections(SymbolState symbol) {
      EventTape tape = session.tape();
      for (int event = after(tape, symbol);
          event != EventTape.NONE && event <= symbol.lastEvent();
          event = after(tape, symbol)) {
        take(symbol, event);
      }
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
