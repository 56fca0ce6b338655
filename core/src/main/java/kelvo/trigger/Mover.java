package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.EarlierPrices;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** Price has changed by so much within the last minutes, and had not at the price before. */
final class Mover extends RememberingDetector {
  private static final int LAST = 0;
  private static final int BEYOND = 1;

  private final double percent;
  private final int direction;
  private final EarlierPrices earlier;

  Mover(Session session, double percent, int minutes, int direction) {
    super(session, Effect.PRICE, 2);
    this.percent = percent;
    this.direction = direction;
    earlier = new EarlierPrices(session, minutes * DayTime.MINUTE);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    long reference = earlier.before(state, now);
    long last = memory.get(id, LAST);
    memory.set(id, LAST, state.lastPrice());
    if (reference == Price.NONE) {
      return false;
    }
    boolean beyond = moved(state.lastPrice(), reference);
    boolean before = memory.get(id, BEYOND) != 0 && last != Price.NONE && moved(last, reference);
    memory.set(id, BEYOND, beyond ? 1 : 0);
    return beyond && !before;
  }

  private boolean moved(long price, long reference) {
    return direction * 100.0 * (price - reference) >= percent * reference;
  }

  @Override
  public void forget(int security) {
    super.forget(security);
    earlier.forget(security);
  }
}
