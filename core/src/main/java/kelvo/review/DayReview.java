package kelvo.review;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import kelvo.hit.Hit;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.PricePath;
import kelvo.trade.Fill;
import kelvo.trade.RoundTrips;
import kelvo.trade.Trade;

/**
 * A session's hits held against the trades really taken, as known at a moment.
 *
 * @param until the moment of the question
 * @param trades those of which a fill is of the day, by time of entry
 * @param beforeRecord fills, or parts of them, that close what is not known to have been opened;
 *     they count nowhere else
 * @param moves by time of first hit
 * @param scans a line for each scan
 * @param all totals over all trades
 * @param offPlan totals over those with no hit of the day behind them, off plan or held overnight
 */
public record DayReview(
    long until,
    List<ReviewedTrade> trades,
    List<Fill> beforeRecord,
    List<ReviewedMove> moves,
    List<ScanTotals> scans,
    TradeTotals all,
    TradeTotals offPlan) {
  /** Reviews the day up to a moment. */
  public static DayReview of(
      Session session,
      List<Scan> scans,
      List<Hit> hits,
      DayBook book,
      ReviewSettings settings,
      long until) {
    List<Hit> counted =
        hits.stream()
            .filter(h -> h.at() <= until && scans.stream().anyMatch(s -> s.name().equals(h.scan())))
            .toList();
    List<Move> moves = Moves.of(session, counted, settings.moveGap(), until);
    Map<Integer, PricePath> paths = new HashMap<>();
    List<ReviewedTrade> trades = new ArrayList<>();
    RoundTrips roundTrips =
        RoundTrips.of(settings.fees().on(book.tradedUntil(until)), settings.cost());
    for (Trade trade : roundTrips.trades()) {
      if (trade.exitAt() < 0) {
        continue;
      }
      OptionalInt security = session.numberOf(trade.symbol());
      PricePath path =
          security.isEmpty()
              ? PricePath.EMPTY
              : paths.computeIfAbsent(security.getAsInt(), s -> PricePath.of(session, s, until));
      trades.add(new TradeReview(trade, path, book, settings).against(moves));
    }
    List<ReviewedMove> reviewed = new ArrayList<>();
    for (Move move : moves) {
      PricePath path = paths.computeIfAbsent(move.security(), s -> PricePath.of(session, s, until));
      reviewed.add(
          new ReviewedMove(
              move,
              verdict(move, trades, book, settings, until),
              Outcome.of(move, path, session, settings, until)));
    }
    return new DayReview(
        until,
        List.copyOf(trades),
        roundTrips.beforeRecord(),
        List.copyOf(reviewed),
        scans.stream().map(s -> ScanTotals.of(s, counted, reviewed, trades, until)).toList(),
        TradeTotals.of(trades.stream().map(ReviewedTrade::trade).toList()),
        TradeTotals.of(
            trades.stream().filter(t -> t.scan().isEmpty()).map(ReviewedTrade::trade).toList()));
  }

  private static MoveVerdict verdict(
      Move move, List<ReviewedTrade> trades, DayBook book, ReviewSettings settings, long asked) {
    List<TradeVerdict> onIt =
        trades.stream().filter(t -> move.equals(t.move())).map(ReviewedTrade::verdict).toList();
    if (onIt.contains(TradeVerdict.ON_A_HIT)) {
      return MoveVerdict.TAKEN;
    }
    if (!onIt.isEmpty()) {
      return MoveVerdict.LATE;
    }
    if (book.decisionOn(move.symbol(), move.start())
        .filter(d -> d.choice() == Choice.DROP)
        .isPresent()) {
      return MoveVerdict.DROPPED;
    }
    long until = Math.min(asked, move.end() + settings.entryAfter());
    boolean looked =
        book.focus().stream()
            .filter(f -> f.symbol().equals(move.symbol()))
            .anyMatch(
                f ->
                    Math.min(f.to(), until) - Math.max(f.from(), move.start())
                        >= settings.lookedFor());
    return looked ? MoveVerdict.PASSED : MoveVerdict.MISSED;
  }
}
