package kelvo.trigger;

import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.history.DailyCoil;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;

/** The daily coil was on, yesterday or at the price before, and is off at this price. */
final class CoilOpens extends RememberingDetector implements OnceDetector {
  private static final int STANDING = 0;
  private static final int UNSEEN = 0;
  private static final int ON = 1;
  private static final int OFF = 2;

  private final Field.Reading coil;

  CoilOpens(Session session) {
    super(session, Effect.ELIGIBLE, 1);
    coil = FieldCatalogue.number("coil").bind(session);
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    double value = coil.at(state, now);
    if (Double.isNaN(value)) {
      return false;
    }
    int id = state.id();
    long before = memory.get(id, STANDING);
    memory.set(id, STANDING, value == 1 ? ON : OFF);
    boolean was = before == UNSEEN ? wasOnYesterday(id) : before == ON;
    return was && value != 1;
  }

  private boolean wasOnYesterday(int security) {
    return new DailyCoil(session.security(security).history()).yesterday() == 1;
  }

  @Override
  public boolean holds(SymbolState state, long now) {
    return coil.at(state, now) == 0;
  }
}
