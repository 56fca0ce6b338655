package kelvo.state;

import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;

/**
 * The print of the most shares and that of the most money since 04:00, of those at a price of the
 * moment.
 */
public final class LargestPrint extends TapeFollower.Made {
  private final EventTape tape;
  private long shares;
  private long money;

  LargestPrint(EventTape tape) {
    this.tape = tape;
  }

  /** Those of a session's securities. */
  public static TapeFollower<LargestPrint> of(Session session) {
    return new TapeFollower<>(session, () -> new LargestPrint(session.tape()));
  }

  @Override
  void begin() {
    shares = 0;
    money = 0;
  }

  @Override
  void take(int event, Corrections corrections) {
    if (tape.isTrade(event)
        && TapeRules.isOfTheMoment(tape.conditions(event))
        && !corrections.cancels(tape, event)) {
      long size = corrections.shares(tape, event);
      shares = Math.max(shares, size);
      money = Math.max(money, size * corrections.price(tape, event));
    }
  }

  /** Shares; 0 before the first print. */
  public long shares() {
    return shares;
  }

  /** Money in {@link Price} units. */
  public long money() {
    return money;
  }
}
