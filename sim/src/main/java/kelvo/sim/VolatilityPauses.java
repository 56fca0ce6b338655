package kelvo.sim;

import java.util.ArrayDeque;
import java.util.Deque;
import kelvo.tape.Price;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * Keeps one stock's prices inside its volatility band and pauses its trading when they have stood
 * at the band for 15 seconds: for five minutes, and for five more when the price wants to go on as
 * far again. A pause of the last ten minutes lasts until the close. Source: the national plan on
 * extraordinary volatility, as amended 2020, from memory.
 */
final class VolatilityPauses {
  /** The reason that the exchange gives. */
  static final String REASON = "LUDP";

  private static final long TIME_AT_BAND = 15 * DayTime.SECOND;
  private static final long PAUSE = 5 * DayTime.MINUTE;
  private static final long REFERENCE_SPAN = 5 * DayTime.MINUTE;
  private static final long REFERENCE_STANDS = 30 * DayTime.SECOND;
  private static final int MOVED_PART = 100;
  private static final long DOUBLED_FOR = 25 * DayTime.MINUTE;
  private static final long NOT_REOPENED = 10 * DayTime.MINUTE;
  private static final long CENT = Price.DOLLAR / 100;

  private final SessionHours hours;
  private final long previousClose;
  private final Statuses statuses;
  private final Deque<Print> prints = new ArrayDeque<>();
  private long sum;
  private long reference;
  private long referenceSince;
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
    if (!hours.regular(at)) {
      return price;
    }
    refer(at, price);
    long width = widthAt(at);
    long inside = Math.clamp(price, toCent(reference - width), toCent(reference + width));
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

  /** Moves the reference to the mean of the last five minutes once it has stood for long enough. */
  private void refer(long at, long price) {
    while (!prints.isEmpty() && prints.getFirst().at() <= at - REFERENCE_SPAN) {
      sum -= prints.removeFirst().price();
    }
    long mean = prints.isEmpty() ? reference : sum / prints.size();
    boolean moved = Math.abs(mean - reference) * MOVED_PART >= reference;
    if (reference == 0) {
      reference = price;
      referenceSince = at;
    } else if (moved && at - referenceSince >= REFERENCE_STANDS) {
      reference = mean;
      referenceSince = at;
    }
  }

  /**
   * How far the band of a stock outside the large indexes lies from the reference. Written apart
   * from the product's, so that the one checks the other.
   */
  private long widthAt(long at) {
    if (previousClose > 3 * Price.DOLLAR) {
      return reference / 10;
    }
    long width =
        previousClose * 4 >= 3 * Price.DOLLAR
            ? reference / 5
            : Math.min(15 * CENT, reference * 3 / 4);
    return at >= hours.close() - DOUBLED_FOR ? 2 * width : width;
  }

  private static long toCent(long price) {
    return Math.max(CENT, (price + CENT / 2) / CENT * CENT);
  }

  private void pause(long at) {
    pausedAt = at;
    pausedUntil = at >= hours.close() - NOT_REOPENED ? hours.close() : at + PAUSE;
    extended = pausedUntil == hours.close();
    atBandSince = -1;
    statuses.changed(at, TradingState.HALTED);
  }

  /** Whether trading resumes, now that somebody wants to trade at a price. */
  private boolean resumes(long at, long price) {
    long width = Math.abs(price - reference);
    boolean goesOn = width > 2 * widthAt(pausedAt);
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
