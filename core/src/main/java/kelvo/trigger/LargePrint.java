package kelvo.trigger;

import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;

/**
 * One print of at least so many shares, or so much money, at a price of the moment; those of
 * auctions only when they are asked for.
 */
final class LargePrint extends RememberingDetector {
  private final double shares;
  private final double dollars;
  private final boolean crosses;

  LargePrint(Session session, double shares, double dollars, boolean crosses) {
    super(session, Effect.PRINT, 0);
    this.shares = shares;
    this.dollars = dollars;
    this.crosses = crosses;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    int conditions = session.tape().conditions(event);
    if (!TapeRules.isOfTheMoment(conditions) || (!crosses && TapeRules.isCross(conditions))) {
      return false;
    }
    long size = state.correctedShares(event);
    return size >= shares && size * Price.dollars(state.correctedPrice(event)) >= dollars;
  }
}
