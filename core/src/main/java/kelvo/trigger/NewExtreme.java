package kelvo.trigger;

import java.util.Arrays;
import java.util.function.ToIntFunction;
import kelvo.history.DailyHistory;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** A print beyond the extreme of the last N sessions and of today so far. */
final class NewExtreme extends RememberingDetector {
  private static final long UNKNOWN = Long.MIN_VALUE;

  private final ToIntFunction<DailyHistory> sessions;
  private final int direction;
  private final long[] befores;

  /**
   * Extremes to be passed.
   *
   * @param sessions how many of a security's last sessions they are of
   */
  NewExtreme(Session session, ToIntFunction<DailyHistory> sessions, int direction) {
    super(session, Effect.EXTREME, 1);
    this.sessions = sessions;
    this.direction = direction;
    befores = new long[session.securities().size()];
    Arrays.fill(befores, UNKNOWN);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    long before = before(id);
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

  /** Asked at every print, so that it is worked out once. */
  private long before(int security) {
    if (befores[security] == UNKNOWN) {
      DailyHistory history = session.security(security).history();
      int counted = sessions.applyAsInt(history);
      befores[security] = direction > 0 ? history.highest(counted) : history.lowest(counted);
    }
    return befores[security];
  }

  private boolean beyond(long price, long other) {
    return direction > 0 ? price > other : price < other;
  }
}
