package kelvo.view;

import java.util.List;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.news.Catalyst;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.Halts;
import kelvo.state.SymbolState;

/** Shows how one security stands: its price, its change, and whatever flags it. */
public final class QuoteView implements View<QuoteView.Quote> {
  private final int security;
  private final Field.Reading change;
  private final Field.Reading changePercent;
  private final Field.Reading gap;
  private final SymbolNewsView news;

  /**
   * A security at a moment.
   *
   * @param facts what was known beforehand
   * @param price {@link kelvo.tape.Price} units
   * @param priceSource which rule gave the price, in words
   * @param change from the previous close, dollars; NaN when unknown
   * @param changePercent the same in per cent
   * @param gapPercent the gap; NaN when unknown
   * @param news the items that name it, newest first
   * @param halts its halts so far
   */
  public record Quote(
      SecurityFacts facts,
      long price,
      String priceSource,
      double change,
      double changePercent,
      double gapPercent,
      List<Catalyst> news,
      Halts halts) {}

  /** The quote of a security, by its number. */
  public QuoteView(Session session, int security) {
    this.security = security;
    change = FieldCatalogue.number("change").bind(session);
    changePercent = FieldCatalogue.number("change %").bind(session);
    gap = FieldCatalogue.number("gap").bind(session);
    news = new SymbolNewsView(session, security);
  }

  @Override
  public Quote look(Moment moment) {
    SymbolState state = moment.state(security);
    return new Quote(
        moment.session().security(security),
        state.price(),
        state.priceSource().words(),
        change.at(state, moment.now()),
        changePercent.at(state, moment.now()),
        gap.at(state, moment.now()),
        news.look(moment).items(),
        Halts.of(moment.session(), security, moment.now()));
  }
}
