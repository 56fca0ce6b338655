package kelvo.state;

import java.util.Arrays;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * High and low of the first minutes of regular hours, read from the tape when asked and kept once
 * those minutes are over. Owned by one thread.
 */
public final class OpeningRange {
  private final Session session;
  private final long end;
  private final long[] highs;
  private final long[] lows;
  private final int[] readUpTo;

  /** The first event seen after which no print of those minutes can come any more. */
  private final int[] settledBy;

  /**
   * How long after those minutes that event was: read at every print, while the event's row has
   * long left the processor's caches.
   */
  private final long[] settledAfter;

  private final Corrections[] corrections;

  /** The range of the first {@code minutes}. */
  public OpeningRange(Session session, int minutes) {
    this.session = session;
    end = SessionHours.OPEN + minutes * DayTime.MINUTE;
    highs = new long[session.securities().size()];
    lows = new long[highs.length];
    readUpTo = new int[highs.length];
    Arrays.fill(readUpTo, EventTape.NONE);
    settledBy = new int[highs.length];
    Arrays.fill(settledBy, EventTape.NONE);
    settledAfter = new long[highs.length];
    corrections = new Corrections[highs.length];
    Arrays.fill(corrections, Corrections.NONE);
  }

  /** Its high so far; {@link Price#NONE} before the first print. */
  public long high(SymbolState state, long now) {
    read(state, now);
    return highs[state.id()];
  }

  /** Its low so far; {@link Price#NONE} before the first print. */
  public long low(SymbolState state, long now) {
    read(state, now);
    return lows[state.id()];
  }

  /**
   * Whether those minutes were over when it was last asked, so that it stays what it is until a
   * print is corrected or comes later than any has so far.
   */
  public boolean isOver(SymbolState state) {
    return readUpTo[state.id()] == state.lastEvent()
        && corrections[state.id()] == state.corrections()
        && isSettledBy(state.id());
  }

  private boolean isSettledBy(int id) {
    return settledBy[id] != EventTape.NONE && settledAfter[id] >= session.tape().mostLateness();
  }

  private void read(SymbolState state, long now) {
    if (now < end) {
      takeDay(state);
    } else {
      readTape(state);
    }
  }

  /** While those minutes last, their high and low are the day's. */
  private void takeDay(SymbolState state) {
    int id = state.id();
    readUpTo[id] = state.lastEvent();
    settledBy[id] = EventTape.NONE;
    corrections[id] = state.corrections();
    highs[id] = state.dayHigh();
    lows[id] = state.dayLow();
  }

  private void readTape(SymbolState state) {
    int id = state.id();
    EventTape tape = session.tape();
    int from = readUpTo[id];
    int to = state.lastEvent();
    if (from == to && corrections[id] == state.corrections()) {
      return;
    }
    readUpTo[id] = to;
    if (isSettled(state)) {
      corrections[id] = state.corrections();
    } else if (from == EventTape.NONE || to < from || corrections[id] != state.corrections()) {
      corrections[id] = state.corrections();
      settledBy[id] = EventTape.NONE;
      highs[id] = Price.NONE;
      lows[id] = Price.NONE;
      if (isOver(to)) {
        forward(state, tape.firstOfSymbol(id), to);
      } else {
        back(state, to);
      }
    } else {
      forward(state, tape.laterOfSymbol(from, to), to);
    }
  }

  private void back(SymbolState state, int from) {
    EventTape tape = session.tape();
    for (int i = from; i != EventTape.NONE && mayBelong(tape, i); i = tape.earlierOfSymbol(i)) {
      take(tape, state, i);
    }
  }

  /** Reads on to an event, or to the first after which no print of those minutes can come. */
  private void forward(SymbolState state, int from, int to) {
    EventTape tape = session.tape();
    int i = from;
    take(tape, state, i);
    while (i != to && !isOver(i)) {
      i = tape.laterOfSymbol(i, to);
      take(tape, state, i);
    }
    if (isOver(i)) {
      settledBy[state.id()] = i;
      settledAfter[state.id()] = tape.time(i) - end;
    }
  }

  /** Whether those minutes are over and no print that may be of them has been corrected since. */
  private boolean isSettled(SymbolState state) {
    int id = state.id();
    int by = settledBy[id];
    return isSettledBy(id)
        && state.lastEvent() >= by
        && (corrections[id] == state.corrections()
            || corrections[id].areSameUpTo(by, state.corrections()));
  }

  /** Whether no print of those minutes can come after an event, as late as prints have come yet. */
  private boolean isOver(int event) {
    EventTape tape = session.tape();
    return event != EventTape.NONE && tape.time(event) >= end + tape.mostLateness();
  }

  private static boolean mayBelong(EventTape tape, int event) {
    return tape.time(event) >= SessionHours.OPEN - tape.mostLateness();
  }

  private void take(EventTape tape, SymbolState state, int event) {
    if (tape.isTrade(event) && tape.time(event) < end && !state.cancels(event)) {
      take(state.id(), state.correctedPrice(event), flags(tape, event));
    }
  }

  private int flags(EventTape tape, int print) {
    return TapeRules.flags(tape.conditions(print), session.hours().regular(tape.time(print)));
  }

  private void take(int id, long price, int flags) {
    if ((flags & TapeRules.HIGH_LOW) != 0 && (flags & TapeRules.REGULAR) != 0) {
      highs[id] = Math.max(highs[id], price);
      lows[id] = lows[id] == Price.NONE ? price : Math.min(lows[id], price);
    }
  }
}
