package kelvo.sim;

import java.util.ArrayDeque;
import java.util.Deque;
import kelvo.state.VolatilityBand;
import kelvo.tape.Price;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/**
 * Keeps one stock's prices inside its volatility band and pauses its trading when they have stood
 * at the band for 15 seconds: for five minutes, and for five more when the price wants to go on as
 * far again. Source: the national plan on extraordinary volatility, as amended 2020, from memory.
 */
final class VolatilityPauses {
  /** The reason that the exchange gives. */
  static final String REASON = "LUDP";

  private static final int TIER = 2;
  private static final long TIME_AT_BAND = 15 * DayTime.SECOND;
  private static final long PAUSE = 5 * DayTime.MINUTE;
  private static final long REFERENCE_SPAN = 5 * DayTime.MINUTE;
  private static final int MOVED_PART = 100;

  private final SessionHours hours;
  private final long previousClose;
  private final Statuses statuses;
  private final Deque<Print> prints = new ArrayDeque<>();
  private long sum;
  private long reference;
  private long atBandSince = -1;
  private long pausedAt;
  private long pausedUntil;
  private boolean extended;

  private record Print(long at, long price) {}

  /** Takes down a change of the trading state. */
  interface Statuses {
    void changed(long at, TradingState state);
  }

  VolatilityPauses(SessionHours hours, long previousClose, Statuses statuses) {
    this.hours = hours;
    this.previousClose = previousClose;
    this.statuses = statuses;
  }

  /**
   * The price at which a print can happen that would happen at another one; {@link Price#NONE} when
   * it cannot. Moments must not go back.
   */
  long allowed(long at, long price) {
    if (pausedUntil > 0 && at >= pausedUntil && !resumes(at, price)) {
      return Price.NONE;
    }
    if (at < pausedUntil) {
      return Price.NONE;
    }
    VolatilityBand band = band(at, price);
    if (band == null) {
      return price;
    }
    long inside = Math.clamp(price, band.low(), band.high());
    if (inside == price) {
      atBandSince = -1;
    } else if (atBandSince < 0) {
      atBandSince = at;
    } else if (at - atBandSince >= TIME_AT_BAND) {
      pause(atBandSince + TIME_AT_BAND);
      return Price.NONE;
    }
    prints.addLast(new Print(at, inside));
    sum += inside;
    return inside;
  }

  private @Nullable VolatilityBand band(long at, long price) {
    if (!hours.regular(at)) {
      return null;
    }
    while (!prints.isEmpty() && prints.getFirst().at() <= at - REFERENCE_SPAN) {
      sum -= prints.removeFirst().price();
    }
    if (reference == 0) {
      reference = price;
    } else if (at >= SessionHours.OPEN + REFERENCE_SPAN && !prints.isEmpty()) {
      long mean = sum / prints.size();
      reference = Math.abs(mean - reference) * MOVED_PART >= reference ? mean : reference;
    }
    return VolatilityBand.around(reference, previousClose, TIER, hours, at);
  }

  private void pause(long at) {
    pausedAt = at;
    pausedUntil = at + PAUSE;
    extended = false;
    atBandSince = -1;
    statuses.changed(at, TradingState.HALTED);
  }

  /** Whether trading resumes, now that somebody wants to trade at a price. */
  private boolean resumes(long at, long price) {
    long width = Math.abs(price - reference);
    VolatilityBand band = VolatilityBand.around(reference, previousClose, TIER, hours, pausedAt);
    boolean goesOn = band != null && width > 2 * (band.high() - reference);
    if (goesOn && !extended && at < pausedUntil + PAUSE) {
      extended = true;
      pausedUntil += PAUSE;
      return false;
    }
    end();
    return true;
  }

  private void end() {
    statuses.changed(pausedUntil - DayTime.MINUTE, TradingState.QUOTING);
    statuses.changed(pausedUntil, TradingState.TRADING);
    pausedUntil = 0;
    reference = 0;
    prints.clear();
    sum = 0;
  }

  /** Ends a pause after which nobody wanted to trade. */
  void finish() {
    if (pausedUntil > 0) {
      end();
    }
  }
}
