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
  private long knownLateness;

  ThroughSettledLine(Session session, Field.Reading line, int way) {
    super(session, line, way);
  }

  /** Reads a line once, after it has settled: it is asked for whenever a price leaves a rest. */
  @Override
  long heightAt(SymbolState state, long now) {
    if (session.tape().mostLateness() != knownLateness) {
      knownLateness = session.tape().mostLateness();
      for (int i = 0; i < session.securities().size(); i++) {
        memory.set(i, KEPT, 0);
      }
    }
    long kept = memory.get(state.id(), KEPT);
    if (kept != 0) {
      return kept;
    }
    long height = super.heightAt(state, now);
    if (height != UNKNOWN && isSettled(state)) {
      memory.set(state.id(), KEPT, height);
    }
    return height;
  }

  private boolean isSettled(SymbolState state) {
    return !(line instanceof Field.SettlingReading settling) || settling.isSettled(state);
  }

  @Override
  public void rest(SymbolState state, long now, Rest rest) {
    long height = heightAt(state, now);
    boolean isKept = height != UNKNOWN && height == memory.get(state.id(), KEPT);
    if (isKept || !(line instanceof Field.SettlingReading settling)) {
      restBesides(height, 0, state, now, rest);
    } else if (now < settling.begins()) {
      rest.until(settling.begins() - 1);
    } else {
      int mayMove = settling.isSettled(state) ? 0 : settling.direction();
      restBesides(height, mayMove, state, now, rest);
    }
  }

  /** A line that still moves away from the price lets it rest as well. */
  private void restBesides(long height, int mayMove, SymbolState state, long now, Rest rest) {
    if (height == UNKNOWN) {
      if (mayMove != 0) {
        rest.never();
      }
      return;
    }
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
