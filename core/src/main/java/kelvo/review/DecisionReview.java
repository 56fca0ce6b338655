package kelvo.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.state.PricePath;
import kelvo.time.DayTime;
import kelvo.watchlist.Watchlist;

/**
 * What became of a symbol that was kept, watched or dropped, or that stood on one of the trader's
 * lists.
 *
 * @param decision the decision on it that was in force last; undecided when it only stood on a list
 * @param lists the trader's own lists that it stood on, besides the Ten
 * @param since when its choice was made, {@link kelvo.time.DayTime}
 * @param moves how many moves it had after that
 * @param ran how many of them are known to have run
 * @param after the best and worst excursion after the decision, for its side, by horizon; an
 *     outcome
 * @param trades its trades entered after the decision, in order of time
 */
public record DecisionReview(
    Decision decision,
    List<String> lists,
    long since,
    int moves,
    int ran,
    Map<Horizon, Excursion> after,
    List<ReviewedTrade> trades) {
  public DecisionReview {
    lists = List.copyOf(lists);
    after = Map.copyOf(after);
    trades = List.copyOf(trades);
  }

  /** The best and worst excursion over a horizon; unknown until it has passed. */
  public Excursion over(Horizon horizon) {
    return after.getOrDefault(horizon, Excursion.UNKNOWN);
  }

  /** The result of its trades, dollars. */
  public double net() {
    return trades.stream().mapToDouble(ReviewedTrade::result).sum();
  }

  /**
   * All symbols that were decided on up to the moment of a review, kept ones first, and those of
   * the session that only stood on a list.
   *
   * @param lists the trader's own as they were on the day
   */
  public static List<DecisionReview> of(
      Session session, DayBook book, List<Watchlist> lists, DayReview review) {
    Map<String, Decision> decided = new LinkedHashMap<>(book.decidedAt(review.until()));
    lists.stream()
        .flatMap(list -> list.symbols().stream())
        .filter(symbol -> session.numberOf(symbol).isPresent())
        .forEach(symbol -> decided.computeIfAbsent(symbol, DecisionReview::undecided));
    List<DecisionReview> all = new ArrayList<>();
    for (Decision decision : decided.values()) {
      all.add(of(session, book, lists, review, decision));
    }
    all.sort(
        Comparator.comparing((DecisionReview d) -> place(d.decision().choice()))
            .thenComparingLong(DecisionReview::since));
    return all;
  }

  private static Decision undecided(String symbol) {
    return new Decision(symbol, DayTime.FIRST, Choice.UNDECIDED, "", Side.UP, "", "");
  }

  private static int place(Choice choice) {
    return switch (choice) {
      case KEEP -> 0;
      case WATCH -> 1;
      case DROP -> 2;
      case UNDECIDED -> 3;
    };
  }

  private static DecisionReview of(
      Session session, DayBook book, List<Watchlist> lists, DayReview review, Decision decision) {
    long since = since(book, decision);
    String symbol = decision.symbol();
    List<ReviewedMove> moves =
        review.moves().stream()
            .filter(m -> m.move().symbol().equals(symbol) && m.move().start() >= since)
            .toList();
    OptionalInt number = session.numberOf(symbol);
    PricePath path =
        number.isEmpty()
            ? PricePath.EMPTY
            : PricePath.of(session, number.getAsInt(), review.until());
    return new DecisionReview(
        decision,
        lists.stream()
            .filter(list -> list.symbols().contains(symbol))
            .map(Watchlist::name)
            .toList(),
        since,
        moves.size(),
        (int) moves.stream().filter(ReviewedMove::ran).count(),
        Outcome.excursions(
            path,
            since,
            session.hours().close(),
            decision.side() == Side.DOWN ? -1 : 1,
            review.until()),
        review.trades().stream()
            .filter(t -> t.trade().symbol().equals(symbol) && t.trade().entryAt() >= since)
            .toList());
  }

  /** A later word on side or plan does not make the choice a new one. */
  private static long since(DayBook book, Decision last) {
    long since = last.at();
    List<Decision> own =
        book.decisions().stream()
            .filter(d -> d.symbol().equals(last.symbol()) && d.at() <= last.at())
            .sorted(Comparator.comparingLong(Decision::at).reversed())
            .toList();
    for (Decision decision : own) {
      if (decision.choice() != last.choice()) {
        break;
      }
      since = decision.at();
    }
    return since;
  }
}
