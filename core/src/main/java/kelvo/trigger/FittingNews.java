package kelvo.trigger;

import kelvo.news.CatalystRule;
import kelvo.session.Security;
import kelvo.session.Session;
import kelvo.state.Effect;
import kelvo.state.SymbolState;

/** An item arrives that meets a rule on items. */
final class FittingNews extends RememberingDetector {
  private final CatalystRule rule;

  FittingNews(Session session, CatalystRule rule) {
    super(session, Effect.NEWS, 0);
    this.rule = rule;
  }

  @Override
  public boolean fires(SymbolState state, int event, long now) {
    Security security = session.security(state.id()).security();
    return rule.fits(session.catalystOf(event), security.symbol(), security.name());
  }
}
