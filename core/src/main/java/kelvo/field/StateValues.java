package kelvo.field;

import kelvo.session.Session;
import kelvo.state.Subject;
import kelvo.state.SymbolState;
import kelvo.time.Phases;

/** The values of a session's live states. Owned by the thread that owns those. */
public final class StateValues implements Values {
  private final Session session;

  /** The values of a session. */
  public StateValues(Session session) {
    this.session = session;
  }

  @Override
  public Phases phases() {
    return session.phases();
  }

  @Override
  public int size() {
    return session.securities().size();
  }

  @Override
  public String symbol(int security) {
    return session.security(security).symbol();
  }

  @Override
  public Subject settled(int security) {
    return SymbolState.fresh(session, security);
  }

  @Override
  public Numbers numbers(Field.Number field) {
    Field.Reading reading = field.bind(session);
    return (subject, now) -> reading.at((SymbolState) subject, now);
  }

  @Override
  public Words words(Field.Word field) {
    return (subject, now) -> field.of((SymbolState) subject, now);
  }
}
