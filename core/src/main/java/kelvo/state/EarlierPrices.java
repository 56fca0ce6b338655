package kelvo.state;

import java.util.Arrays;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;

/**
 * The price of each security some time ago, found by following its prints on the tape. Moments must
 * not go back. Owned by one thread; does not allocate when asked.
 */
public final class EarlierPrices {
  private final Session session;
  private final long ago;
  private final int[] reached;
  private final long[] prices;
  private final int[] seen;
  private final long[] first;

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
    seen = new int[reached.length];
    first = new long[reached.length];
    Arrays.fill(reached, EventTape.NONE);
    Arrays.fill(seen, EventTape.NONE);
    Arrays.fill(first, Long.MAX_VALUE);
  }

  /** The price in force then; {@link Price#NONE} when there was no print yet. */
  public long before(SymbolState state, long now) {
    EventTape tape = session.tape();
    int id = state.id();
    int at = reached[id];
    if (at == EventTape.NONE || at > state.lastEvent()) {
      if (isTooSoon(state, now)) {
        return Price.NONE;
      }
      lookBack(state, now);
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

  /**
   * Whether all events of a security are newer than the moment that is asked about, as they are
   * soon after its first one: only those that have come since the last question are looked at.
   */
  private boolean isTooSoon(SymbolState state, long now) {
    EventTape tape = session.tape();
    int id = state.id();
    if (seen[id] > state.lastEvent()) {
      forget(id);
    }
    for (int i = state.lastEvent(); i > seen[id]; i = tape.earlierOfSymbol(i)) {
      first[id] = Math.min(first[id], tape.time(i));
      if (first[id] <= now - ago) {
        return false;
      }
    }
    seen[id] = state.lastEvent();
    return first[id] > now - ago;
  }

  private void lookBack(SymbolState state, long now) {
    EventTape tape = session.tape();
    int id = state.id();
    prices[id] = Price.NONE;
    reached[id] = EventTape.NONE;
    for (int i = state.lastEvent(); i != EventTape.NONE; i = tape.earlierOfSymbol(i)) {
      if (tape.time(i) <= now - ago) {
        reached[id] = reached[id] == EventTape.NONE ? i : reached[id];
        if (sets(state, i)) {
          prices[id] = state.correctedPrice(i);
          return;
        }
      }
    }
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
    return new long[] {reached[security], prices[security], seen[security], first[security]};
  }

  /** Goes on with a security from where it had followed it to. */
  public void restore(int security, long[] to) {
    reached[security] = (int) to[0];
    prices[security] = to[1];
    seen[security] = (int) to[2];
    first[security] = to[3];
  }

  /** Forgets a security, so that the next question looks back on the tape. */
  public void forget(int security) {
    reached[security] = EventTape.NONE;
    seen[security] = EventTape.NONE;
    first[security] = Long.MAX_VALUE;
  }
}
