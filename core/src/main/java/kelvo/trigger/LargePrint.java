package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** One print of at least so many shares, or so much money. */
final class LargePrint extends RememberingDetector {
  private final double shares;
  private final double dollars;

  LargePrint(Session session, double shares, double dollars) {
    super(session, Effect.PRINT, 0);
    this.shares = shares;
    this.dollars = dollars;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    long size = state.correctedShares(event);
    return size >= shares && size * Price.dollars(state.correctedPrice(event)) >= dollars;
  }
}
