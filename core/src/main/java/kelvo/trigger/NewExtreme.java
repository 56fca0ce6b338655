package kelvo.trigger;

import java.util.function.ToIntFunction;
import kelvo.history.DailyHistory;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** A print beyond the extreme of the last N sessions and of today so far. */
final class NewExtreme extends RememberingDetector {
  private final ToIntFunction<DailyHistory> sessions;
  private final int direction;

  /**
   * Extremes to be passed.
   *
   * @param sessions how many of a security's last sessions they are of
   */
  NewExtreme(Session session, ToIntFunction<DailyHistory> sessions, int direction) {
    super(session, Effect.EXTREME, 1);
    this.sessions = sessions;
    this.direction = direction;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    DailyHistory history = session.security(id).history();
    int counted = sessions.applyAsInt(history);
    long before = direction > 0 ? history.highest(counted) : history.lowest(counted);
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
