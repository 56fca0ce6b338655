package kelvo.field;

import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.Function;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/**
 * Something immutable worked out from what is known of a security before the session, when it is
 * first asked for: once a session, however many fields and engines ask. Any thread may ask.
 */
final class PerSecurity<T> {
  private final Session session;
  private final Function<SecurityFacts, T> make;
  private final AtomicReferenceArray<T> made;

  private PerSecurity(Session session, Function<SecurityFacts, T> make) {
    this.session = session;
    this.make = make;
    made = new AtomicReferenceArray<>(session.securities().size());
  }

  /**
   * What a session knows of this.
   *
   * @param what its name, which stands for the same making and the same type wherever it is used
   */
  @SuppressWarnings("unchecked")
  static <T> PerSecurity<T> of(Session session, String what, Function<SecurityFacts, T> make) {
    return (PerSecurity<T>) session.workedOut(what, () -> new PerSecurity<>(session, make));
  }

  T of(SymbolState state) {
    T known = made.getAcquire(state.id());
    if (known == null) {
      known = make.apply(session.security(state.id()));
      made.setRelease(state.id(), known);
    }
    return known;
  }
}
