package kelvo.trigger;

import kelvo.field.Field;
import kelvo.session.Session;
import kelvo.state.Crossing;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/**
 * Price passes a line that stays where it is all session, or from some moment on, such as the
 * previous close or the high of the first minutes: prices on one side of it mean nothing.
 */
final class ThroughSettledLine extends ThroughLine implements RestingDetector {
  ThroughSettledLine(Session session, Field.Reading line, int way) {
    super(session, line, way);
  }

  @Override
  public void rest(SymbolState state, long now, Rest rest) {
    if (line instanceof Field.SettlingReading settling) {
      if (now < settling.begins()) {
        rest.until(settling.begins() - 1);
        return;
      }
      if (!settling.isSettled(state)) {
        rest.never();
        return;
      }
    }
    double dollars = line.at(state, now);
    if (!Double.isNaN(dollars)) {
      restBesides(height(dollars), state, rest);
    }
  }

  private void restBesides(long height, SymbolState state, Rest rest) {
    long price = state.lastPrice() * FINER;
    if (state.lastPrice() == Price.NONE
        || price == height
        || !Crossing.staysAt(crossing(state), price, height)) {
      rest.never();
    } else if (price > height) {
      rest.within(Math.floorDiv(height, FINER) + 1, Long.MAX_VALUE);
    } else {
      rest.within(Long.MIN_VALUE, Math.ceilDiv(height, FINER) - 1);
    }
  }
}
