package kelvo.view;

import java.util.ArrayList;
import java.util.List;
import kelvo.chart.Spark;
import kelvo.chart.Sparks;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/** Shows a card for each of some symbols. */
public final class CardsView implements View<List<CardsView.Card>> {
  private final List<String> symbols;
  private final Cards cards;

  /**
   * A symbol followed.
   *
   * @param price {@link kelvo.tape.Price} units
   * @param changePercent from the previous close; NaN when unknown
   * @param volume since 04:00
   * @param spark the day so far
   */
  public record Card(String symbol, long price, double changePercent, double volume, Spark spark) {}

  /** The cards of these symbols; those that the session does not have are left out. */
  public CardsView(Session session, List<String> symbols) {
    this.symbols = List.copyOf(symbols);
    cards = new Cards(session);
  }

  @Override
  public List<Card> look(Moment moment) {
    return cards.of(symbols, moment);
  }

  /** Makes cards, and keeps their bars from one moment to the next. */
  static final class Cards {
    private final Sparks sparks;
    private final Field.Reading changePercent;

    Cards(Session session) {
      sparks = new Sparks(session);
      changePercent = FieldCatalogue.number("change %").bind(session);
    }

    List<Card> of(List<String> symbols, Moment moment) {
      List<Card> made = new ArrayList<>();
      for (String symbol : symbols) {
        moment
            .session()
            .numberOf(symbol)
            .ifPresent(number -> made.add(card(symbol, moment.state(number), moment)));
      }
      return List.copyOf(made);
    }

    Card card(String symbol, SymbolState state, Moment moment) {
      long now = moment.now();
      return new Card(
          symbol,
          state.price(),
          changePercent.at(state, now),
          state.volume(),
          sparks.at(state, now));
    }
  }
}
