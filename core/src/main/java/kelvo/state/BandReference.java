package kelvo.state;

import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/**
 * The reference price of a stock's {@link VolatilityBand}: the official open if that comes by
 * 09:35, and before it the mean of the eligible regular prints so far; a mean of the last five
 * minutes that is 1% or more away from it takes its place once it has stood for 30 seconds. Source:
 * the national market system's plan to address extraordinary volatility, as amended 2020, from
 * memory.
 */
public final class BandReference extends TapeFollower.Made {
  private static final long SPAN = 5 * DayTime.MINUTE;
  private static final long STANDS = 30 * DayTime.SECOND;
  private static final int MOVED_PART = 100;

  private final Session session;
  private final EventTape tape;
  private final SessionHours hours;
  private int oldest;
  private int newest;
  private long sum;
  private int count;
  private long lastAt;
  private long lastPrice;
  private long firstPrice;
  private long officialOpen;
  private boolean openTaken;
  private long reference;
  private long since;

  BandReference(Session session) {
    this.session = session;
    tape = session.tape();
    hours = session.hours();
    begin();
  }

  /** Those of a session's securities. */
  public static TapeFollower<BandReference> of(Session session) {
    return new TapeFollower<>(session, () -> new BandReference(session));
  }

  @Override
  void begin() {
    oldest = EventTape.NONE;
    newest = EventTape.NONE;
    sum = 0;
    count = 0;
    lastAt = 0;
    lastPrice = Price.NONE;
    firstPrice = Price.NONE;
    officialOpen = Price.NONE;
    openTaken = false;
    reference = Price.NONE;
    since = 0;
  }

  @Override
  void take(int event, Corrections corrections) {
    if (!tape.isTrade(event) || corrections.cancels(tape, event)) {
      return;
    }
    long at = tape.time(event);
    boolean regular = hours.regular(at);
    int flags = TapeRules.flags(tape.conditions(event), regular);
    if ((flags & TapeRules.SETS_OPEN) != 0
        && at >= SessionHours.OPEN
        && officialOpen == Price.NONE) {
      officialOpen = corrections.price(tape, event);
    }
    if (!regular || (flags & TapeRules.LAST) == 0) {
      return;
    }
    sum += corrections.price(tape, event);
    count++;
    firstPrice = firstPrice == Price.NONE ? corrections.price(tape, event) : firstPrice;
    newest = event;
    oldest = oldest == EventTape.NONE ? event : oldest;
    if (at >= lastAt) {
      lastAt = at;
      lastPrice = corrections.price(tape, event);
      leave(at - SPAN, corrections);
      moveTo(sum / count, at);
    }
  }

  /** Prints that are five minutes old leave the mean. */
  private void leave(long until, Corrections corrections) {
    while (oldest != newest && (tape.time(oldest) <= until || !counts(oldest, corrections))) {
      if (counts(oldest, corrections)) {
        sum -= corrections.price(tape, oldest);
        count--;
      }
      oldest = tape.laterOfSymbol(oldest);
    }
  }

  private boolean counts(int event, Corrections corrections) {
    return tape.isTrade(event)
        && hours.regular(tape.time(event))
        && (TapeRules.flags(tape.conditions(event), true) & TapeRules.LAST) != 0
        && !corrections.cancels(tape, event);
  }

  private void moveTo(long mean, long now) {
    boolean opens = !openTaken && officialOpen != Price.NONE && now <= SessionHours.OPEN + SPAN;
    boolean moved = Math.abs(mean - reference) * MOVED_PART >= reference && now - since >= STANDS;
    if (opens || reference == Price.NONE || moved) {
      reference = opens ? officialOpen : mean;
      since = now;
      openTaken |= opens;
    }
  }

  /**
   * How far its last eligible regular print is from the nearer side of the band, in per cent of it;
   * below 0 outside, NaN without a band.
   */
  public double distancePercent(long now) {
    VolatilityBand band = band(now);
    return band == null ? Double.NaN : band.distancePercent(lastPrice);
  }

  /** The band in which it may trade at a moment; null where it has none. */
  public @Nullable VolatilityBand band(long now) {
    if (newest == EventTape.NONE) {
      return null;
    }
    SecurityFacts facts = session.security(tape.symbol(newest));
    long open = officialOpen == Price.NONE ? firstPrice : officialOpen;
    long close = facts.priorClose() == Price.NONE ? open : facts.priorClose();
    return VolatilityBand.around(reference, close, facts.security(), hours, now);
  }
}
