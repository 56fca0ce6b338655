package kelvo.review;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import kelvo.hit.Hit;
import kelvo.hit.LevelHits;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.PricePath;
import kelvo.tape.Price;
import kelvo.time.DayTime;
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
 * @param scans a line for each scan, and one for the levels that rang
 * @param alerts a line for each alert that rang: its hits make moves of their own, apart from those
 *     of scans, and the trades are those entered after it rang
 * @param all totals over all trades
 * @param offPlan totals over those with no hit of the day behind them, off plan or held overnight
 */
public record DayReview(
    long until,
    List<ReviewedTrade> trades,
    List<Fill> beforeRecord,
    List<ReviewedMove> moves,
    List<ScanTotals> scans,
    List<ScanTotals> alerts,
    TradeTotals all,
    TradeTotals offPlan) {
  /** The six figures of it. */
  public SixFigures figures() {
    return SixFigures.of(trades, moves, all);
  }

  /** Reviews the day up to a moment. */
  public static DayReview of(
      Session session,
      List<Scan> scans,
      List<Hit> hits,
      DayBook book,
      ReviewSettings settings,
      long until) {
    Set<String> counting = new HashSet<>(Set.of(LevelHits.LEVELS));
    scans.forEach(scan -> counting.add(scan.name()));
    List<Hit> counted =
        hits.stream().filter(h -> h.at() <= until && counting.contains(h.scan())).toList();
    List<Move> moves = Moves.of(session, counted, settings.moveGap(), until);
    List<Hit> alerts =
        hits.stream().filter(h -> h.at() <= until && !counting.contains(h.scan())).toList();
    TradeContexts contexts = new TradeContexts(session, book, alerts, settings, until);
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
      trades.add(new TradeReview(trade, path, book, settings, contexts.of(trade)).against(moves));
    }
    List<ReviewedMove> reviewed = new ArrayList<>();
    for (Move move : moves) {
      PricePath path = paths.computeIfAbsent(move.security(), s -> PricePath.of(session, s, until));
      reviewed.add(
          judge(
              move,
              trades,
              book,
              settings,
              until,
              Outcome.of(move, path, session, settings, until),
              path));
    }
    return new DayReview(
        until,
        List.copyOf(trades),
        roundTrips.beforeRecord(),
        List.copyOf(reviewed),
        totals(scans, counted, reviewed, trades, until),
        alerts(session, alerts, trades, paths, settings, until),
        TradeTotals.of(trades.stream().map(ReviewedTrade::trade).toList()),
        TradeTotals.of(
            trades.stream().filter(t -> t.scan().isEmpty()).map(ReviewedTrade::trade).toList()));
  }

  /** A line a scan, and one for levels when some rang. */
  private static List<ScanTotals> totals(
      List<Scan> scans,
      List<Hit> hits,
      List<ReviewedMove> moves,
      List<ReviewedTrade> trades,
      long until) {
    List<ScanTotals> totals = new ArrayList<>();
    for (Scan scan : scans) {
      totals.add(
          ScanTotals.of(
              scan.name(), Math.min(until, scan.to()) - scan.from(), hits, moves, trades));
    }
    if (hits.stream().anyMatch(hit -> hit.scan().equals(LevelHits.LEVELS))) {
      totals.add(ScanTotals.of(LevelHits.LEVELS, until - DayTime.FIRST, hits, moves, trades));
    }
    return List.copyOf(totals);
  }

  /** Is an alert worth its noise? A line each, by the hits that it rang for. */
  private static List<ScanTotals> alerts(
      Session session,
      List<Hit> rang,
      List<ReviewedTrade> trades,
      Map<Integer, PricePath> paths,
      ReviewSettings settings,
      long until) {
    Map<String, List<Hit>> byAlert = new TreeMap<>();
    rang.forEach(hit -> byAlert.computeIfAbsent(hit.scan(), name -> new ArrayList<>()).add(hit));
    List<ScanTotals> totals = new ArrayList<>();
    byAlert.forEach(
        (alert, hits) -> {
          List<ReviewedMove> moves = new ArrayList<>();
          for (Move move : Moves.of(session, hits, settings.moveGap(), until)) {
            PricePath path =
                paths.computeIfAbsent(move.security(), s -> PricePath.of(session, s, until));
            moves.add(
                judge(
                    move,
                    List.of(),
                    DayBook.EMPTY,
                    settings,
                    until,
                    Outcome.of(move, path, session, settings, until),
                    path));
          }
          totals.add(
              ScanTotals.ofAlert(
                  alert,
                  until - DayTime.FIRST,
                  moves,
                  trades.stream().filter(t -> t.context().alert().equals(alert)).toList()));
        });
    return List.copyOf(totals);
  }

  private static ReviewedMove judge(
      Move move,
      List<ReviewedTrade> trades,
      DayBook book,
      ReviewSettings settings,
      long asked,
      Outcome outcome,
      PricePath path) {
    List<ReviewedTrade> onIt = trades.stream().filter(t -> move.equals(t.move())).toList();
    Optional<Decision> decision = book.decisionOn(move.symbol(), move.start());
    Looked looked =
        Looked.at(
            move.symbol(), book, move.start(), Math.min(asked, move.end() + settings.entryAfter()));
    return new ReviewedMove(
        move,
        verdict(onIt, decision, looked.longest() >= settings.lookedFor()),
        onIt,
        decision.orElse(null),
        looked,
        outcome,
        atTheHit(move, onIt, path));
  }

  /** What the trades on a move would have brought more at the first price after its first hit. */
  private static double atTheHit(Move move, List<ReviewedTrade> trades, PricePath path) {
    int first = path.firstAfter(move.start());
    if (first == path.size()) {
      return 0;
    }
    double more = 0;
    for (ReviewedTrade trade : trades) {
      if (path.time(first) <= trade.trade().exitAt()) {
        more +=
            move.side().direction()
                * (trade.trade().entryPrice() - Price.dollars(path.price(first)))
                * trade.trade().shares().doubleValue();
      }
    }
    return more;
  }

  private static MoveVerdict verdict(
      List<ReviewedTrade> onIt, Optional<Decision> decision, boolean wasLookedAt) {
    if (onIt.stream().anyMatch(t -> t.verdict() == TradeVerdict.ON_A_HIT)) {
      return MoveVerdict.TAKEN;
    }
    if (!onIt.isEmpty()) {
      return MoveVerdict.LATE;
    }
    if (decision.filter(d -> d.choice() == Choice.DROP).isPresent()) {
      return MoveVerdict.DROPPED;
    }
    return wasLookedAt ? MoveVerdict.PASSED : MoveVerdict.MISSED;
  }
}
