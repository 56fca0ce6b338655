package kelvo.trigger;

import java.util.Arrays;
import java.util.stream.LongStream;
import kelvo.session.Session;
import kelvo.state.EarlierPrices;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * Price has changed by so much within the last minutes, and had not at the print before. Where
 * there was no print so many minutes ago the previous close stands in for it.
 */
final class Mover extends RememberingDetector implements LateDetector {
  private static final int BEYOND = 0;

  private final double percent;
  private final int direction;
  private final EarlierPrices earlier;

  Mover(Session session, double percent, int minutes, int direction) {
    super(session, Effect.ELIGIBLE, 1);
    this.percent = percent;
    this.direction = direction;
    earlier = new EarlierPrices(session, minutes * DayTime.MINUTE);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int id = state.id();
    long then = earlier.before(state, now);
    long reference = then == Price.NONE ? state.previousClose() : then;
    boolean beyond =
        reference != Price.NONE
            && direction * 100.0 * (state.lastPrice() - reference) >= percent * reference;
    boolean before = memory.get(id, BEYOND) != 0;
    memory.set(id, BEYOND, beyond ? 1 : 0);
    return beyond && !before;
  }

  @Override
  public void begin(SymbolState state, long at) {
    fires(state, EventTape.NONE, at);
  }

  @Override
  public void forget(int security) {
    super.forget(security);
    earlier.forget(security);
  }

  @Override
  public long[] remembered(int security) {
    return LongStream.concat(
            Arrays.stream(super.remembered(security)), Arrays.stream(earlier.reached(security)))
        .toArray();
  }

  @Override
  public void restore(int security, long[] remembered) {
    super.restore(security, remembered);
    earlier.restore(security, Arrays.copyOfRange(remembered, 1, remembered.length));
  }
}
