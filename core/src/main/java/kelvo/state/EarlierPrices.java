package kelvo.state;

import java.util.Arrays;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;

/**
 * The price of each security some time ago, found by following its prints on the tape: the newest
 * one that set the price before the first event that is newer than that moment. Where it begins to
 * follow makes no difference. Moments must not go back. Owned by one thread; does not allocate when
 * asked.
 */
public final class EarlierPrices {
  private final Session session;
  private final long ago;
  private final int[] reached;
  private final long[] prices;

  /**
   * Prices of some time ago.
   *
   * @param ago how long, nanoseconds
   */
  public EarlierPrices(Session session, long ago) {
    this.session = session;
    this.ago = ago;
    reached = new int[session.securities().size()];
    prices = new long[reached.length];
    Arrays.fill(reached, EventTape.NONE);
  }

  /** The price in force then; {@link Price#NONE} when there was no print yet. */
  public long before(SymbolState state, long now) {
    EventTape tape = session.tape();
    int id = state.id();
    int at = reached[id];
    if (at == EventTape.NONE || at > state.lastEvent()) {
      boolean isTooSoon =
          state.lastEvent() == EventTape.NONE || tape.time(tape.firstOfSymbol(id)) > now - ago;
      if (isTooSoon) {
        return Price.NONE;
      }
      lookBack(state, now - ago);
      return prices[id];
    }
    int next = tape.laterOfSymbol(at);
    while (next != EventTape.NONE && next <= state.lastEvent() && tape.time(next) <= now - ago) {
      reached[id] = next;
      take(state, next);
      next = tape.laterOfSymbol(next);
    }
    return prices[id];
  }

  /** Stands where following the events in their order would have led to by now. */
  private void lookBack(SymbolState state, long moment) {
    EventTape tape = session.tape();
    int id = state.id();
    int firstNewer = EventTape.NONE;
    // Before an event as old as that no newer one can stand, as late as events have come yet.
    long old = moment - tape.mostLateness();
    for (int i = state.lastEvent();
        i != EventTape.NONE && tape.time(i) > old;
        i = tape.earlierOfSymbol(i)) {
      firstNewer = tape.time(i) > moment ? i : firstNewer;
    }
    reached[id] =
        firstNewer == EventTape.NONE ? state.lastEvent() : tape.earlierOfSymbol(firstNewer);
    int set = reached[id];
    while (set != EventTape.NONE && !sets(state, set)) {
      set = tape.earlierOfSymbol(set);
    }
    prices[id] = set == EventTape.NONE ? Price.NONE : state.correctedPrice(set);
  }

  private void take(SymbolState state, int event) {
    if (sets(state, event)) {
      prices[state.id()] = state.correctedPrice(event);
    }
  }

  private boolean sets(SymbolState state, int event) {
    EventTape tape = session.tape();
    if (!tape.isTrade(event) || state.cancels(event)) {
      return false;
    }
    int flags = TapeRules.flags(tape.conditions(event), session.hours().regular(tape.time(event)));
    return (flags & TapeRules.LAST) != 0;
  }

  /** How far it has followed a security, so that it can go on from there another time. */
  public long[] reached(int security) {
    return new long[] {reached[security], prices[security]};
  }

  /** Goes on with a security from where it had followed it to. */
  public void restore(int security, long[] to) {
    reached[security] = (int) to[0];
    prices[security] = to[1];
  }

  /** Forgets a security, so that the next question looks back on the tape. */
  public void forget(int security) {
    reached[security] = EventTape.NONE;
  }
}
