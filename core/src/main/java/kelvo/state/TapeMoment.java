package kelvo.state;

import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/**
 * One security at a moment of its tape: enough to read there, at any later time and on any thread,
 * what was so then. Two of the same moment always give the same answers.
 */
public final class TapeMoment {
  private final EventTape tape;
  private final Session session;
  private final Corrections corrections;
  private final int lastEvent;
  private final long now;
  private volatile DaySoFar.@Nullable Answer soFar;

  public TapeMoment(Session session, Corrections corrections, int lastEvent, long now) {
    this.session = session;
    tape = session.tape();
    this.corrections = corrections;
    this.lastEvent = lastEvent;
    this.now = now;
  }

  /** Shares in (now - span, now]. */
  public long shares(SlidingSpan span) {
    long shares = 0;
    for (int i = lastEvent; reaches(i, span.nanos()); i = tape.earlierOfSymbol(i)) {
      shares += counts(i, span.nanos()) ? corrections.shares(tape, i) : 0;
    }
    return shares;
  }

  /** Prints in (now - span, now]. */
  public int trades(SlidingSpan span) {
    int trades = 0;
    for (int i = lastEvent; reaches(i, span.nanos()); i = tape.earlierOfSymbol(i)) {
      trades += counts(i, span.nanos()) ? 1 : 0;
    }
    return trades;
  }

  /**
   * Share of the last minute's volume that was bought: a print above the middle of the quote in
   * force is bought, one below it sold, one at the middle or without a two-sided quote half of
   * each. NaN when no print of the minute has a two-sided quote.
   */
  public double buyingShare() {
    double bought = 0;
    long volume = 0;
    boolean quoted = false;
    int quote = EventTape.NONE;
    for (int print = lastEvent;
        reaches(print, DayTime.MINUTE);
        print = tape.earlierOfSymbol(print)) {
      if (counts(print, DayTime.MINUTE) && TapeRules.isOfTheMoment(tape.conditions(print))) {
        if (quote == EventTape.NONE || quote > print) {
          quote = quoteBefore(print);
        }
        boolean usable = quote != EventTape.NONE && twoSided(quote);
        long shares = corrections.shares(tape, print);
        quoted |= usable;
        bought += shares * (usable ? boughtPart(quote, corrections.price(tape, print)) : 0.5);
        volume += shares;
      }
    }
    return quoted ? bought / volume : Double.NaN;
  }

  /** What the day had come to, worked out when it is first asked for. */
  public DaySoFar.Answer soFar() {
    DaySoFar.Answer known = soFar;
    if (known == null) {
      known =
          lastEvent == EventTape.NONE
              ? DaySoFar.Answer.NOTHING
              : DaySoFar.of(session, tape.symbol(lastEvent)).at(lastEvent, corrections, now);
      soFar = known;
    }
    return known;
  }

  /** The moment, {@link DayTime}. */
  public long now() {
    return now;
  }

  /** Whether going on backward from an event can still meet one of the span. */
  private boolean reaches(int event, long span) {
    return event != EventTape.NONE && tape.time(event) > now - span - tape.mostLateness();
  }

  private boolean counts(int event, long span) {
    return tape.isTrade(event)
        && tape.time(event) > now - span
        && TapeRules.addsVolume(tape.conditions(event))
        && !corrections.cancels(tape, event);
  }

  /** The quote in force at a print. */
  private int quoteBefore(int print) {
    int i = tape.earlierOfSymbol(print);
    while (i != EventTape.NONE && !tape.isQuote(i)) {
      i = tape.earlierOfSymbol(i);
    }
    return i;
  }

  private boolean twoSided(int quote) {
    return tape.bid(quote) > 0 && tape.ask(quote) > tape.bid(quote);
  }

  /** Above the middle of the quote everything, below it nothing, at it half. */
  private double boughtPart(int quote, long price) {
    return (1 + Long.signum(2 * price - tape.bid(quote) - tape.ask(quote))) / 2.0;
  }
}
