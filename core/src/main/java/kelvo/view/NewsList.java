package kelvo.view;

import kelvo.hit.MarketEngine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.tape.Price;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.news.Catalyst;
import kelvo.news.HeadlineWords;
import kelvo.view.CatalystFilter;

/** Lists the news of a session with what the market made of it. Used on the engine's thread. */
final class NewsList {
  private static final int MOST_ROWS = 500;
  private static final int MOST_WORDS = 8;

  private final Session session;
  private final Field.Reading lastMinutes;

  /** By item and security: the price when it came, as it stood corrected by the last moment. */
  private final Map<Long, Long> pricesThen = new HashMap<>();

  private CatalystFilter.Check filter;
  private long lastMoment = -1;
  private List<HeadlineWords.Count> words = List.of();
  private int counted;

  NewsList(Session session) {
    this.session = session;
    lastMinutes = FieldCatalogue.number("volume 5m").bind(session);
    filter = CatalystFilter.ALL.in(session);
  }

  MarketSnapshot.News at(MarketEngine engine, CatalystFilter wanted) {
    if (!filter.filter().equals(wanted)) {
      filter = wanted.in(session);
    }
    long now = engine.clock();
    if (now < lastMoment) {
      pricesThen.clear();
    }
    lastMoment = now;
    List<Catalyst> published =
        session.catalysts().stream().filter(item -> item.known() <= now).toList();
    List<MarketSnapshot.NewsRow> rows = new ArrayList<>();
    int all = 0;
    for (int i = published.size() - 1; i >= 0; i--) {
      for (String symbol : published.get(i).symbols()) {
        OptionalInt number = session.numberOf(symbol);
        if (number.isPresent()) {
          all++;
          SymbolState state = engine.state(number.getAsInt());
          double change = changeSince(i, published.get(i), state);
          if (rows.size() < MOST_ROWS && filter.shows(published.get(i), state, change, now)) {
            rows.add(row(i, published.get(i), state, change, now));
          }
        }
      }
    }
    if (published.size() != counted) {
      counted = published.size();
      words = HeadlineWords.of(published, MOST_WORDS);
    }
    return new MarketSnapshot.News(rows, all, words);
  }

  /** Per cent of the price when the item was published; NaN when that is unknown. */
  private double changeSince(int number, Catalyst item, SymbolState state) {
    long then =
        pricesThen.computeIfAbsent(
            (long) number << Integer.SIZE | state.id(), key -> state.priceAt(item.at()));
    return then == Price.NONE ? Double.NaN : 100.0 * (state.price() - then) / then;
  }

  private MarketSnapshot.NewsRow row(
      int number, Catalyst item, SymbolState state, double changeSince, long now) {
    var security = session.security(state.id()).security();
    return new MarketSnapshot.NewsRow(
        number,
        state.id(),
        security.symbol(),
        item,
        item.isAbout(security.symbol(), security.name()),
        changeSince,
        lastMinutes.at(state, now));
  }
}
