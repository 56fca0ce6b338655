package kelvo.review;

import java.math.BigDecimal;
import java.util.List;
import kelvo.history.Median;
import kelvo.hit.Hit;
import kelvo.statistics.WilsonInterval;
import kelvo.time.DayTime;

/**
 * What a scan brought, on one day or on several. A move counts for every scan that hit in it, a
 * trade only for the scan whose hit it followed, so that the results of all scans and of the trades
 * off plan add up to the day's.
 *
 * @param hits all firings
 * @param moves moves with one of its hits
 * @param known moves of which it is known whether they ran
 * @param ran moves that ran
 * @param interval 95% interval of the share that ran
 * @param medianGone median share of the run that was over at the first hit; NaN when unknown
 * @param medianBest median best excursion in 30 minutes, per cent; NaN when unknown
 * @param hours how long its window was open; NaN when that cannot be said
 * @param trades trades that followed its hits
 * @param net their result, dollars
 */
public record ScanTotals(
    String scan,
    int hits,
    int moves,
    int known,
    int ran,
    WilsonInterval interval,
    double medianGone,
    double medianBest,
    double hours,
    int trades,
    double net) {
  /** Its noise; NaN when its window was not open. */
  public double hitsPerHour() {
    return hours > 0 ? hits / hours : Double.NaN;
  }

  /**
   * The totals of a scan.
   *
   * @param span how long its window has been open, nanoseconds
   */
  static ScanTotals of(
      String scan,
      long span,
      List<Hit> hits,
      List<ReviewedMove> moves,
      List<ReviewedTrade> trades) {
    int count = (int) hits.stream().filter(h -> h.scan().equals(scan)).count();
    List<ReviewedMove> own = moves.stream().filter(m -> m.move().scans().contains(scan)).toList();
    List<ReviewedTrade> traded = trades.stream().filter(t -> t.scan().equals(scan)).toList();
    return of(scan, count, own, span / (double) DayTime.HOUR, traded);
  }

  /** The totals of an alert, of whose hits alone the moves are made. */
  static ScanTotals ofAlert(
      String alert, long span, List<ReviewedMove> moves, List<ReviewedTrade> trades) {
    int hits = moves.stream().mapToInt(move -> move.move().hits().size()).sum();
    return of(alert, hits, moves, span / (double) DayTime.HOUR, trades);
  }

  private static ScanTotals of(
      String scan, int hits, List<ReviewedMove> own, double hours, List<ReviewedTrade> traded) {
    int known = (int) own.stream().filter(m -> m.outcome().ran() != Outcome.Ran.UNKNOWN).count();
    int ran = (int) own.stream().filter(ReviewedMove::ran).count();
    return new ScanTotals(
        scan,
        hits,
        own.size(),
        known,
        ran,
        WilsonInterval.of(ran, known),
        Median.of(own.stream().mapToDouble(m -> m.outcome().goneShare())),
        Median.of(own.stream().mapToDouble(m -> m.outcome().halfHour().best())),
        hours,
        traded.size(),
        traded.stream()
            .map(t -> t.trade().result())
            .reduce(BigDecimal.ZERO, BigDecimal::add)
            .doubleValue());
  }

  /**
   * The totals of a scan over several days.
   *
   * @param days its totals of each day
   * @param moves all moves of these days
   * @param trades all trades of these days
   */
  public static ScanTotals together(
      String scan, List<ScanTotals> days, List<ReviewedMove> moves, List<ReviewedTrade> trades) {
    return of(
        scan,
        days.stream().mapToInt(ScanTotals::hits).sum(),
        moves.stream().filter(m -> m.move().scans().contains(scan)).toList(),
        days.stream().mapToDouble(ScanTotals::hours).sum(),
        trades.stream().filter(t -> t.scan().equals(scan)).toList());
  }

  /**
   * The totals of an alert over several days; medians of all its moves are not known from those of
   * its days.
   *
   * @param days its totals of each day
   */
  public static ScanTotals ofAlertOver(String alert, List<ScanTotals> days) {
    int known = days.stream().mapToInt(ScanTotals::known).sum();
    int ran = days.stream().mapToInt(ScanTotals::ran).sum();
    return new ScanTotals(
        alert,
        days.stream().mapToInt(ScanTotals::hits).sum(),
        days.stream().mapToInt(ScanTotals::moves).sum(),
        known,
        ran,
        WilsonInterval.of(ran, known),
        Double.NaN,
        Double.NaN,
        days.stream().mapToDouble(ScanTotals::hours).sum(),
        days.stream().mapToInt(ScanTotals::trades).sum(),
        days.stream().mapToDouble(ScanTotals::net).sum());
  }

  /** The totals of some moves, whichever scans made them; hits an hour are not known. */
  static ScanTotals over(List<ReviewedMove> moves) {
    List<Hit> hits = moves.stream().flatMap(m -> m.move().hits().stream()).toList();
    List<ReviewedTrade> trades = moves.stream().flatMap(m -> m.trades().stream()).toList();
    return of("", hits.size(), moves, Double.NaN, trades);
  }
}
