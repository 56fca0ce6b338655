package kelvo.trigger;

import kelvo.field.Field;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/** A field reaches a bound for the first time in the session. */
final class FieldReaches extends RememberingDetector implements OnceDetector {
  private static final int FIRED = 0;

  private final Field.Reading reading;
  private final Field.Reading bound;

  FieldReaches(Session session, int listensTo, Field.Number field, Field.Reading bound) {
    super(session, listensTo, 1);
    reading = field.bind(session);
    this.bound = bound;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    if (memory.get(state.id(), FIRED) != 0 || !holds(state, now)) {
      return false;
    }
    memory.set(state.id(), FIRED, 1);
    return true;
  }

  @Override
  public boolean holds(SymbolState state, long now) {
    return reading.at(state, now) >= bound.at(state, now);
  }
}
