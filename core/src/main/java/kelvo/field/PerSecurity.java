package kelvo.field;

import java.util.function.Function;
import kelvo.market.SecurityFacts;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import org.jspecify.annotations.Nullable;

/**
 * Something worked out from what is known of a security before the session, when it is first asked
 * for. Owned by one thread.
 */
final class PerSecurity<T> {
  private final Session session;
  private final Function<SecurityFacts, T> make;
  private final @Nullable Object[] made;

  PerSecurity(Session session, Function<SecurityFacts, T> make) {
    this.session = session;
    this.make = make;
    made = new Object[session.securities().size()];
  }

  @SuppressWarnings("unchecked")
  T of(SymbolState state) {
    Object known = made[state.id()];
    if (known == null) {
      known = make.apply(session.security(state.id()));
      made[state.id()] = known;
    }
    return (T) known;
  }
}
