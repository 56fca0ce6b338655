package kelvo.trigger;

import kelvo.field.Field;
import kelvo.session.Session;
import kelvo.state.Crossing;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** Price passes a line that a field draws, such as a daily average. */
final class ThroughLine extends RememberingDetector {
  private static final int CROSSING = 0;

  /** Lines lie between prices: a hundredth of a price unit decides. */
  private static final int FINER = 100;

  private final Field.Reading line;
  private final int way;

  ThroughLine(Session session, Field.Number field, int way) {
    this(session, field.bind(session), way);
  }

  private ThroughLine(Session session, Field.Reading line, int way) {
    super(session, Effect.ELIGIBLE, 1);
    this.way = way;
    this.line = line;
  }

  /** Price passes one price, in dollars. */
  static ThroughLine at(Session session, double dollars, int way) {
    return new ThroughLine(session, (state, now) -> dollars, way);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    double dollars = line.at(state, now);
    if (Double.isNaN(dollars) || state.lastPrice() == Price.NONE) {
      return false;
    }
    long height = Math.round(dollars * Price.DOLLAR * FINER);
    long before = memory.get(state.id(), CROSSING);
    long crossing = Crossing.next(before, state.lastPrice() * FINER, height, now);
    memory.set(state.id(), CROSSING, crossing);
    return Crossing.way(crossing) == way;
  }
}
