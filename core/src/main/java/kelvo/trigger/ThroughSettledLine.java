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
      restBesides(height(dollars), state, now, rest);
    }
  }

  private void restBesides(long height, SymbolState state, long now, Rest rest) {
    long price = state.lastPrice() * FINER;
    long crossing = crossing(state);
    long disarmed = Crossing.disarmedWithin(crossing, height, now);
    if (state.lastPrice() != Price.NONE && Math.abs(price - height) < disarmed) {
      rest.within(firstAbove(height - disarmed), lastBelow(height + disarmed));
      rest.until(Crossing.disarmedUntil(crossing) - 1);
    } else if (state.lastPrice() == Price.NONE
        || price == height
        || !Crossing.staysAt(crossing, price, height)) {
      rest.never();
    } else if (price > height) {
      rest.within(firstAbove(height), Long.MAX_VALUE);
    } else {
      rest.within(Long.MIN_VALUE, lastBelow(height));
    }
  }

  private static long firstAbove(long height) {
    return Math.floorDiv(height, FINER) + 1;
  }

  private static long lastBelow(long height) {
    return Math.ceilDiv(height, FINER) - 1;
  }
}
