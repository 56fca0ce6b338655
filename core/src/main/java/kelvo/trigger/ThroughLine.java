package kelvo.trigger;

import kelvo.field.Field;
import kelvo.market.Crossing;
import kelvo.market.Effect;
import kelvo.market.Price;
import kelvo.market.Session;
import kelvo.market.SymbolState;

/** Price passes a line that a field draws, such as a daily average. */
final class ThroughLine implements Detector {
  /** Lines lie between prices: a hundredth of a price unit decides. */
  private static final int FINER = 100;

  private final Field.Reading line;
  private final int way;
  private final Crossing[] crossings;

  ThroughLine(Session session, Field.Number field, int way) {
    this.way = way;
    line = field.bind(session);
    crossings = new Crossing[session.securities().size()];
    java.util.Arrays.setAll(crossings, i -> new Crossing());
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    double dollars = line.at(state, now);
    if (Double.isNaN(dollars) || state.lastPrice() == Price.NONE) {
      return false;
    }
    long height = Math.round(dollars * Price.DOLLAR * FINER);
    return crossings[state.id()].next(state.lastPrice() * FINER, height, now) == way;
  }

  @Override
  public int listensTo() {
    return Effect.PRICE;
  }

  @Override
  public void forget(int security) {
    crossings[security].reset();
  }

  @Override
  public Object memory() {
    Crossing[] copies = new Crossing[crossings.length];
    for (int i = 0; i < copies.length; i++) {
      copies[i] = new Crossing();
      copies[i].copyFrom(crossings[i]);
    }
    return copies;
  }

  @Override
  public void restore(Object memory) {
    Crossing[] then = (Crossing[]) memory;
    for (int i = 0; i < crossings.length; i++) {
      crossings[i].copyFrom(then[i]);
    }
  }
}
