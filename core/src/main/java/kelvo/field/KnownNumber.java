package kelvo.field;

import java.util.Arrays;
import java.util.concurrent.atomic.AtomicLongArray;
import java.util.function.ToDoubleFunction;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/**
 * A number worked out from what is known of a security before the session, when it is first asked
 * for: once a session, however many fields and engines ask. Numbers lie side by side, since rules
 * ask for them at every print. Any thread may ask.
 */
final class KnownNumber {
  /** The bits of a NaN that no arithmetic gives. */
  private static final long NOT_YET = 0x7ff8_0000_0000_cafeL;

  private final Session session;
  private final ToDoubleFunction<SecurityFacts> make;
  private final AtomicLongArray bits;

  private KnownNumber(Session session, ToDoubleFunction<SecurityFacts> make) {
    this.session = session;
    this.make = make;
    long[] none = new long[session.securities().size()];
    Arrays.fill(none, NOT_YET);
    bits = new AtomicLongArray(none);
  }

  /**
   * What a session knows of this.
   *
   * @param what its name, which stands for the same making wherever it is used
   */
  static KnownNumber of(Session session, String what, ToDoubleFunction<SecurityFacts> make) {
    return (KnownNumber) session.workedOut("number " + what, () -> new KnownNumber(session, make));
  }

  /** The number; NaN when unknown. */
  double of(SymbolState state) {
    long known = bits.getOpaque(state.id());
    return known == NOT_YET ? make(state.id()) : Double.longBitsToDouble(known);
  }

  private double make(int security) {
    double made = make.applyAsDouble(session.security(security));
    bits.setOpaque(security, Double.doubleToLongBits(made));
    return made;
  }
}
