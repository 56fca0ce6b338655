package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** A print beyond the extreme of the last N sessions and of today so far. */
final class NewExtreme extends RememberingDetector {
  private final int sessions;
  private final int direction;

  NewExtreme(Session session, int sessions, int direction) {
    super(session, Effect.EXTREME, 1);
    this.sessions = sessions;
    this.direction = direction;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    long before =
        direction > 0
            ? session.security(id).history().highest(sessions)
            : session.security(id).history().lowest(sessions);
    if (before == Price.NONE) {
      return false;
    }
    long todays = memory.get(id, 0);
    long extreme = todays == Price.NONE ? before : beyond(todays, before) ? todays : before;
    long price = state.correctedPrice(event);
    if (!beyond(price, extreme)) {
      return false;
    }
    memory.set(id, 0, price);
    return true;
  }

  private boolean beyond(long price, long other) {
    return direction > 0 ? price > other : price < other;
  }
}
