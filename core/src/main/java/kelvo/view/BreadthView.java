package kelvo.view;

import kelvo.state.MarketBreadth;

/** Shows how the market as a whole stands. */
public final class BreadthView implements View<MarketBreadth> {
  @Override
  public MarketBreadth look(Moment moment) {
    return MarketBreadth.of(moment.market(), moment.now());
  }
}
