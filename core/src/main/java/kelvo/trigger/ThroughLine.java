package kelvo.trigger;

import kelvo.field.Field;
import kelvo.session.Session;
import kelvo.state.Crossing;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** Price passes a line that a field draws, such as a moving average. */
class ThroughLine extends RememberingDetector {
  private static final int CROSSING = 0;
  private static final int WIDTH = 2;

  /** Place of a number for those that keep more. */
  static final int KEPT = 1;

  /** No line. */
  static final long UNKNOWN = Long.MIN_VALUE;

  /** Lines lie between prices: a hundredth of a price unit decides. */
  static final int FINER = 100;

  final Field.Reading line;
  private final int way;

  ThroughLine(Session session, Field.Reading line, int way) {
    super(session, Effect.ELIGIBLE, WIDTH);
    this.way = way;
    this.line = line;
  }

  /** Price passes the line of a field; one that stays where it is lets its detector rest. */
  static ThroughLine of(Session session, Field.Number field, int way) {
    Field.Reading line = field.bind(session);
    return field.pace() == Field.Pace.FIXED || line instanceof Field.SettlingReading
        ? new ThroughSettledLine(session, line, way)
        : new ThroughLine(session, line, way);
  }

  /** Price passes one price, in dollars. */
  static ThroughLine at(Session session, double dollars, int way) {
    return new ThroughSettledLine(session, (state, now) -> dollars, way);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    long height = heightAt(state, now);
    if (height == UNKNOWN || state.lastPrice() == Price.NONE) {
      return false;
    }
    long crossing = Crossing.next(crossing(state), state.lastPrice() * FINER, height, now);
    memory.set(state.id(), CROSSING, crossing);
    return Crossing.way(crossing) == way;
  }

  /** How high the line lies, in hundredths of a price unit. */
  long heightAt(SymbolState state, long now) {
    double dollars = line.at(state, now);
    return Double.isNaN(dollars) ? UNKNOWN : Math.round(dollars * Price.DOLLAR * FINER);
  }

  /** How the price of a security has stood to the line so far. */
  final long crossing(SymbolState state) {
    return memory.get(state.id(), CROSSING);
  }
}
