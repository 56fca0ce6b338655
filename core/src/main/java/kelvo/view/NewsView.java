package kelvo.view;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.news.Catalyst;
import kelvo.news.HeadlineWords;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** Shows the news so far with what the market made of each item. */
public final class NewsView implements View<NewsView.NewsList> {
  private static final int MAX_ROWS = 500;
  private static final int MAX_WORDS = 8;

  private final Session session;
  private final Field.Reading lastMinutes;

  /** By item and security: the price when it came, as it stood corrected by the last moment. */
  private final Map<Long, Long> pricesThen = new HashMap<>();

  private final CatalystFilter.Check filter;
  private long lastMoment = -1;
  private List<HeadlineWords.Count> words = List.of();
  private int counted;
  private final Set<String> common;

  /**
   * The news so far.
   *
   * @param rows those that the filter shows, newest first
   * @param all how many there are without the filter
   * @param words what stands in many headlines
   */
  public record NewsList(List<NewsRow> rows, int all, List<HeadlineWords.Count> words) {}

  /**
   * An item and one of the securities that it names.
   *
   * @param number the item's place among the session's
   * @param subject whether it is about the security
   * @param changeSince per cent since the price when it came; NaN when unknown
   * @param volumeFiveMinutes shares of the last five minutes
   */
  public record NewsRow(
      int number,
      int security,
      String symbol,
      Catalyst item,
      boolean subject,
      double changeSince,
      double volumeFiveMinutes) {}

  /** The news of a session that a filter shows. */
  public NewsView(Session session, CatalystFilter wanted) {
    this.session = session;
    lastMinutes = FieldCatalogue.number("volume 5m").bind(session);
    filter = wanted.in(session);
    common =
        HeadlineWords.commonInNames(
            session.securities().stream().map(facts -> facts.security().name()).toList());
  }

  @Override
  public NewsList look(Moment moment) {
    long now = moment.now();
    if (now < lastMoment) {
      pricesThen.clear();
    }
    lastMoment = now;
    List<Catalyst> published =
        session.catalysts().stream().filter(item -> item.known() <= now).toList();
    List<NewsRow> rows = new ArrayList<>();
    int all = 0;
    for (int i = published.size() - 1; i >= 0; i--) {
      for (String symbol : published.get(i).symbols()) {
        OptionalInt number = session.numberOf(symbol);
        if (number.isPresent()) {
          all++;
          SymbolState state = moment.state(number.getAsInt());
          double change = changeSince(i, published.get(i), state);
          if (rows.size() < MAX_ROWS && filter.shows(published.get(i), state, change, now)) {
            rows.add(row(i, published.get(i), state, change, now));
          }
        }
      }
    }
    if (published.size() != counted) {
      counted = published.size();
      words = HeadlineWords.of(published, common, MAX_WORDS);
    }
    return new NewsList(rows, all, words);
  }

  /** Per cent of the price when the item was published; NaN when that is unknown. */
  private double changeSince(int number, Catalyst item, SymbolState state) {
    long then =
        pricesThen.computeIfAbsent(
            (long) number << Integer.SIZE | state.id(), key -> state.priceAt(item.at()));
    return then == Price.NONE ? Double.NaN : 100.0 * (state.price() - then) / then;
  }

  private NewsRow row(int number, Catalyst item, SymbolState state, double changeSince, long now) {
    var security = session.security(state.id()).security();
    return new NewsRow(
        number,
        state.id(),
        security.symbol(),
        item,
        item.isAbout(security.symbol(), security.name()),
        changeSince,
        lastMinutes.at(state, now));
  }
}
