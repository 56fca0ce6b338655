package kelvo.state;

import java.util.Arrays;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.DayTime;

/**
 * The mean of each stock's eligible regular prints of the last five minutes, from which the
 * reference of its {@link VolatilityBand} is taken. Moments must not go back. Owned by one thread.
 */
public final class ReferencePrices {
  private static final long SPAN = 5 * DayTime.MINUTE;

  private final Session session;
  private final int[] oldest;
  private final int[] newest;
  private final long[] sums;
  private final int[] counts;

  /** References before the open. */
  public ReferencePrices(Session session) {
    this.session = session;
    int n = session.securities().size();
    oldest = new int[n];
    newest = new int[n];
    sums = new long[n];
    counts = new int[n];
    Arrays.fill(oldest, EventTape.NONE);
    Arrays.fill(newest, EventTape.NONE);
  }

  /** The mean of the prints in (now - 5 min, now]; {@link Price#NONE} without any. */
  public long mean(SymbolState state, long now) {
    moveTo(state, now);
    int id = state.id();
    return counts[id] == 0 ? Price.NONE : sums[id] / counts[id];
  }

  private void moveTo(SymbolState state, long now) {
    EventTape tape = session.tape();
    int id = state.id();
    int last = state.lastEvent();
    if (newest[id] == EventTape.NONE || newest[id] > last) {
      lookBack(state, now);
      return;
    }
    while (newest[id] != last) {
      newest[id] = tape.laterOfSymbol(newest[id]);
      add(state, newest[id], 1);
    }
    while (oldest[id] != EventTape.NONE && tape.time(oldest[id]) <= now - SPAN) {
      add(state, oldest[id], -1);
      oldest[id] = oldest[id] == newest[id] ? EventTape.NONE : tape.laterOfSymbol(oldest[id]);
    }
    if (oldest[id] == EventTape.NONE) {
      newest[id] = EventTape.NONE;
    }
  }

  private void lookBack(SymbolState state, long now) {
    EventTape tape = session.tape();
    int id = state.id();
    forget(id);
    for (int i = state.lastEvent();
        i != EventTape.NONE && tape.time(i) > now - SPAN;
        i = tape.earlierOfSymbol(i)) {
      newest[id] = newest[id] == EventTape.NONE ? i : newest[id];
      oldest[id] = i;
      add(state, i, 1);
    }
  }

  private void add(SymbolState state, int event, int sign) {
    EventTape tape = session.tape();
    boolean regular = session.hours().regular(tape.time(event));
    if (tape.isTrade(event)
        && regular
        && (TapeRules.flags(tape.conditions(event), true) & TapeRules.LAST) != 0
        && !state.cancels(event)) {
      sums[state.id()] += sign * state.correctedPrice(event);
      counts[state.id()] += sign;
    }
  }

  /** Forgets a security, so that the next question looks back on the tape. */
  public void forget(int security) {
    oldest[security] = EventTape.NONE;
    newest[security] = EventTape.NONE;
    sums[security] = 0;
    counts[security] = 0;
  }
}
