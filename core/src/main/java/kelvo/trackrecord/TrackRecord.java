package kelvo.trackrecord;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import kelvo.review.DayReview;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.review.ScanTotals;
import kelvo.review.SixFigures;
import kelvo.review.TradeGroup;
import kelvo.review.TradeGrouping;
import kelvo.review.TradeTotals;

/**
 * What several sessions say together. Only closed trades count, in the session in which they were
 * closed; money is in dollars.
 *
 * @param sessions by date
 * @param trades closed ones, in the order of their exits
 */
public record TrackRecord(List<PastReview> sessions, List<ReviewedTrade> trades) {
  /** How many trades the last ones are. */
  static final int LAST = 100;

  public TrackRecord {
    sessions = List.copyOf(sessions);
    trades = List.copyOf(trades);
  }

  /** The track record of sessions. */
  public static TrackRecord of(List<PastReview> sessions) {
    List<PastReview> byDate =
        sessions.stream().sorted(Comparator.comparing(PastReview::date)).toList();
    return new TrackRecord(
        byDate, byDate.stream().flatMap(session -> session.closed().stream()).toList());
  }

  /**
   * The part of it that lies in a period.
   *
   * @param date a date of the period
   */
  public TrackRecord over(Period period, LocalDate date) {
    if (period == Period.LAST_100) {
      List<ReviewedTrade> last = trades.subList(Math.max(0, trades.size() - LAST), trades.size());
      LocalDate first = last.isEmpty() ? LocalDate.MAX : last.getFirst().context().date();
      return new TrackRecord(
          sessions.stream().filter(session -> !session.date().isBefore(first)).toList(), last);
    }
    return of(sessions.stream().filter(one -> period.holds(date, one.date())).toList());
  }

  /** The same sessions with the trades of one account. */
  public TrackRecord ofAccount(String account) {
    return new TrackRecord(
        sessions, trades.stream().filter(t -> t.trade().account().equals(account)).toList());
  }

  /** The same sessions with the trades that have a tag. */
  public TrackRecord tagged(String tag) {
    return new TrackRecord(
        sessions, trades.stream().filter(t -> t.context().tags().contains(tag)).toList());
  }

  /** The accounts that traded, in the order in which they did. */
  public Set<String> accounts() {
    Set<String> accounts = new LinkedHashSet<>();
    trades.forEach(trade -> accounts.add(trade.trade().account()));
    return accounts;
  }

  /** The tags of its trades, in the order in which they were traded. */
  public Set<String> tags() {
    Set<String> tags = new LinkedHashSet<>();
    trades.forEach(trade -> tags.addAll(trade.context().tags()));
    return tags;
  }

  /** All moves, by session. */
  public List<ReviewedMove> moves() {
    return sessions.stream().flatMap(session -> session.review().moves().stream()).toList();
  }

  /** Totals over its trades. */
  public TradeTotals totals() {
    return TradeTotals.inOrder(trades.stream().map(ReviewedTrade::trade).toList());
  }

  /** The six figures of it. */
  public SixFigures figures() {
    return SixFigures.of(trades, moves(), totals());
  }

  /** A line a scan, in the order in which the sessions name them. */
  public List<ScanTotals> scans() {
    List<ReviewedMove> moves = moves();
    return together(
        DayReview::scans, (scan, days) -> ScanTotals.together(scan, days, moves, trades));
  }

  /** A line an alert, in the order in which the sessions name them; of all accounts. */
  public List<ScanTotals> alerts() {
    return together(DayReview::alerts, ScanTotals::ofAlertOver);
  }

  private List<ScanTotals> together(
      Function<DayReview, List<ScanTotals>> ofDay,
      BiFunction<String, List<ScanTotals>, ScanTotals> over) {
    Map<String, List<ScanTotals>> byName = new LinkedHashMap<>();
    for (PastReview session : sessions) {
      for (ScanTotals totals : ofDay.apply(session.review())) {
        byName.computeIfAbsent(totals.scan(), name -> new ArrayList<>()).add(totals);
      }
    }
    List<ScanTotals> all = new ArrayList<>();
    byName.forEach((name, days) -> all.add(over.apply(name, days)));
    return all;
  }

  /** Its trades by something. */
  public List<TradeGroup> groups(TradeGrouping grouping) {
    return TradeGroup.of(trades, grouping);
  }

  /** The sum of the results after each trade. */
  public List<EquityPoint> equity() {
    List<EquityPoint> line = new ArrayList<>();
    BigDecimal sum = BigDecimal.ZERO;
    BigDecimal highest = BigDecimal.ZERO;
    for (ReviewedTrade trade : trades) {
      sum = sum.add(trade.trade().result());
      highest = highest.max(sum);
      line.add(new EquityPoint(trade, sum.doubleValue(), highest.subtract(sum).doubleValue()));
    }
    return line;
  }
}
