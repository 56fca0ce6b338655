package kelvo.review;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import kelvo.hit.Hit;
import kelvo.journal.DayBook;
import kelvo.news.Catalyst;
import kelvo.news.NewsCategory;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.trade.Trade;

/** Looks up the circumstances of a session's trades, as known at a moment. */
final class TradeContexts {
  private final Session session;
  private final DayBook book;
  private final List<Hit> alerts;
  private final ReviewSettings settings;
  private final long until;
  private final Map<Integer, TapeAtFills> tapes = new HashMap<>();

  /**
   * Circumstances at a moment.
   *
   * @param alerts what rang, in order of time
   * @param until the moment of the question
   */
  TradeContexts(
      Session session, DayBook book, List<Hit> alerts, ReviewSettings settings, long until) {
    this.session = session;
    this.book = book;
    this.alerts = alerts;
    this.settings = settings;
    this.until = until;
  }

  TradeContext of(Trade trade) {
    long entry = trade.entryAt();
    boolean today = entry >= 0;
    int phase = today ? session.phases().indexAt(entry) : -1;
    OptionalInt number = session.numberOf(trade.symbol());
    SecurityFacts facts = number.isEmpty() ? null : session.security(number.getAsInt());
    TapeAtFills tape =
        number.isEmpty()
            ? null
            : tapes.computeIfAbsent(
                number.getAsInt(), security -> new TapeAtFills(session, security, until));
    return new TradeContext(
        session.hours().date(),
        phase,
        today ? session.phases().all().get(phase).name() : "",
        facts == null ? Double.NaN : facts.floatShares(),
        facts == null ? "" : facts.security().sector(),
        today ? catalyst(trade) : "",
        today ? alert(trade) : "",
        book.decisionOn(trade.symbol(), entry).orElse(null),
        tape == null || !today ? Double.NaN : tape.volumeShare(trade),
        tape == null ? Double.NaN : tape.spreadCost(trade),
        book.page().on(ReviewedTrade.subjectOf(trade)).tags());
  }

  /** The kind of the newest news that was known at the entry. */
  private String catalyst(Trade trade) {
    return session.catalysts().stream()
        .filter(item -> item.symbols().contains(trade.symbol()))
        .filter(item -> item.known() <= trade.entryAt())
        .filter(item -> item.at() >= session.hours().previousClose())
        .max(Comparator.comparingLong(Catalyst::at))
        .map(item -> item.reading().category())
        .map(category -> category == NewsCategory.OTHER ? "other news" : category.words())
        .orElse("");
  }

  private String alert(Trade trade) {
    return alerts.stream()
        .filter(hit -> hit.symbol().equals(trade.symbol()))
        .filter(hit -> hit.at() <= trade.entryAt())
        .filter(hit -> hit.at() >= trade.entryAt() - settings.entryAfter())
        .reduce((earlier, later) -> later)
        .map(Hit::scan)
        .orElse("");
  }
}
