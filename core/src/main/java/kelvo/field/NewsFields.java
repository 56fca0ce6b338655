package kelvo.field;

import java.util.List;
import kelvo.market.Price;
import kelvo.market.SymbolState;
import kelvo.time.DayTime;

/** News of a security. */
final class NewsFields {
  private static final long DAY = 24 * DayTime.HOUR;

  private NewsFields() {}

  static List<Field> all() {
    return List.of(
        new Field.Number(
            "minutes since news",
            Unit.MINUTES,
            Field.Pace.MINUTES,
            "Minutes since the newest item that names it.",
            "no item names it",
            session ->
                (s, now) ->
                    s.newsItems() == 0
                        ? Double.NaN
                        : Math.floorDiv(now - s.newsAt(), DayTime.MINUTE)),
        new Field.Number(
            "items 24h",
            Unit.COUNT,
            Field.Pace.CLOCK,
            "News items of the last 24 hours that name it.",
            "never",
            session -> (s, now) -> s.newsItems(DAY, now)),
        new Field.Number(
            "change since news",
            Unit.PERCENT,
            Field.Pace.EVENTS,
            "Price less the price at the newest item, over it.",
            "no item names it",
            session -> NewsFields::changeSinceNews));
  }

  private static double changeSinceNews(SymbolState state, long now) {
    return state.newsItems() == 0 || state.newsPrice() == Price.NONE
        ? Double.NaN
        : Formulas.percentOf(state.price(), state.newsPrice());
  }
}
