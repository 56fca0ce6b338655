package kelvo.trigger;

import kelvo.field.Field;
import kelvo.session.Session;
import kelvo.state.Crossing;
import kelvo.state.SymbolState;

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
    int mayMove = 0;
    if (line instanceof Field.SettlingReading settling) {
      if (now < settling.begins()) {
        rest.until(settling.begins() - 1);
        return;
      }
      mayMove = settling.isSettled(state) ? 0 : settling.direction();
    }
    double dollars = line.at(state, now);
    if (!Double.isNaN(dollars)) {
      restBesides(height(dollars), mayMove, state, now, rest);
    } else if (mayMove != 0) {
      rest.never();
    }
  }

  /** A line that still moves away from the price lets it rest as well. */
  private void restBesides(long height, int mayMove, SymbolState state, long now, Rest rest) {
    long crossing = crossing(state);
    int side = Crossing.armedSide(crossing);
    long disarmed = Crossing.disarmedWithin(crossing, height, now);
    if (side < 0 && mayMove >= 0) {
      rest.within(Long.MIN_VALUE, Math.floorDiv(height, FINER));
    } else if (side > 0 && mayMove <= 0) {
      rest.within(Math.ceilDiv(height, FINER), Long.MAX_VALUE);
    } else if (disarmed != 0 && mayMove == 0) {
      rest.within(
          Math.floorDiv(height - disarmed, FINER) + 1, Math.ceilDiv(height + disarmed, FINER) - 1);
      rest.until(Crossing.disarmedUntil(crossing) - 1);
    } else {
      rest.never();
    }
  }
}
