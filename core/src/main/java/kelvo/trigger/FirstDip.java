package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** After an opening gap up: the first fall from the high of which a part is regained. */
final class FirstDip extends RememberingDetector implements OnceDetector, RestingDetector {
  private static final int HIGH = 0;
  private static final int LOW = 1;
  private static final int FIRED = 2;

  private final double gap;
  private final double fall;
  private final double regained;

  FirstDip(Session session, double gap, double fall, double regained) {
    super(session, Effect.ELIGIBLE | Effect.OPENED, 3);
    this.gap = gap;
    this.fall = fall;
    this.regained = regained;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    if (memory.get(id, FIRED) != 0 || !OpeningGap.gapped(state, gap, 1)) {
      return false;
    }
    long price = state.lastPrice();
    long high = Math.max(memory.get(id, HIGH), state.dayHigh());
    memory.set(id, HIGH, high);
    long low = memory.get(id, LOW);
    boolean fallen = low != Price.NONE || 100.0 * (high - price) >= fall * high;
    if (!fallen) {
      return false;
    }
    memory.set(id, LOW, low == Price.NONE ? price : Math.min(low, price));
    if (low == Price.NONE || !holds(state, now)) {
      return false;
    }
    memory.set(id, FIRED, 1);
    return true;
  }

  /** Until it opens with a gap, and once it has fired. */
  @Override
  public void rest(SymbolState state, long now, Rest rest) {
    if (memory.get(state.id(), FIRED) == 0 && OpeningGap.gapped(state, gap, 1)) {
      rest.never();
    }
  }

  @Override
  public boolean holds(SymbolState state, long now) {
    long high = memory.get(state.id(), HIGH);
    long low = memory.get(state.id(), LOW);
    return 100.0 * (state.lastPrice() - low) >= regained * (high - low);
  }
}
