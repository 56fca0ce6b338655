package kelvo.desktop.review;

import java.util.List;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.review.Excursion;
import kelvo.review.Horizon;
import kelvo.review.Outcome;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.review.ScanTotals;
import kelvo.review.TradeVerdict;
import kelvo.time.DayTime;

/** The columns of the review's three tables, each with what it means. */
final class ReviewColumns {
  /** Rates of fewer cases are faded. */
  static final int SMALL_SAMPLE = 20;

  private ReviewColumns() {}

  static List<GridColumn<ReviewedTrade>> trades() {
    return List.of(
        GridColumn.<ReviewedTrade>symbolsWithSide(
            t -> arrow(t.trade().side().direction()) + t.trade().symbol()),
        GridColumn.words("entry", "Time of the first fill", 62, ReviewColumns::entry),
        GridColumn.<ReviewedTrade>words(
                "verdict",
                "On a hit; late: far beyond its price or long after it; off plan: no hit behind it",
                58,
                t -> t.verdict().words())
            .toned(t -> t.verdict() == TradeVerdict.ON_A_HIT ? Tone.INK : Tone.BAD),
        GridColumn.words(
            "planned",
            "On the Ten, same side, before the entry",
            46,
            t -> t.planned() ? "yes" : "no"),
        GridColumn.numbers(
            "late by",
            "From the move's first hit to the entry",
            58,
            t -> t.move() == null ? "" : lateness(t.lateness())),
        GridColumn.<ReviewedTrade>numbers(
                "chase %",
                "How far the entry was beyond the first hit's price",
                60,
                t -> Numbers.percent(t.chasePercent()))
            .toned(t -> t.chasePercent() > 2 ? Tone.BAD : Tone.INK),
        GridColumn.<ReviewedTrade>numbers(
                "chase $", "The same in money", 72, t -> Numbers.money(t.chaseMoney()))
            .toned(t -> t.chasePercent() > 2 ? Tone.BAD : Tone.INK),
        GridColumn.numbers("shares", "Shares opened", 46, t -> t.trade().shares().toPlainString()),
        GridColumn.numbers(
            "captured",
            "Part of the move's best run that the trade took",
            56,
            t -> share(t.capturedShare())),
        GridColumn.<ReviewedTrade>numbers(
                "result $",
                "Proceeds less cost and fees",
                88,
                t -> Numbers.money(t.trade().result().doubleValue()))
            .toned(t -> Tone.ofMoney(t.trade().result().doubleValue())),
        GridColumn.numbers(
            "R",
            "Result over the money at risk to the stop known at entry",
            38,
            t -> Numbers.fixed(t.r(), 1)));
  }

  static List<GridColumn<ReviewedMove>> moves() {
    return List.of(
        GridColumn.<ReviewedMove>symbolsWithSide(
            m -> arrow(m.move().side().direction()) + m.move().symbol()),
        GridColumn.words(
            "first hit", "Time of the first hit", 62, m -> DayTime.seconds(m.move().start())),
        GridColumn.<ReviewedMove>words(
                "verdict",
                "Taken, late, dropped by hand, passed (looked at), missed (never looked at)",
                60,
                m -> m.verdict().word())
            .toned(m -> m.costs() ? Tone.BAD : Tone.INK),
        GridColumn.words(
            "ran",
            "Reached its target within 30 minutes before half of it against",
            40,
            m ->
                m.outcome().ran() == Outcome.Ran.UNKNOWN
                    ? ""
                    : m.outcome().ran() == Outcome.Ran.YES ? "yes" : "no"),
        GridColumn.numbers(
            "hits",
            "Hits of all scans in this move",
            40,
            m -> Integer.toString(m.move().hits().size())),
        GridColumn.numbers(
            "gone",
            "Part of the run that was over at the first hit",
            46,
            m -> share(m.outcome().goneShare())),
        GridColumn.numbers(
            "best 30m",
            "MFE: the best price in 30 minutes against the first that could be had",
            56,
            m -> best(m.outcome().halfHour())),
        GridColumn.numbers(
            "worst 30m",
            "MAE: the worst price in 30 minutes",
            56,
            m -> worst(m.outcome().halfHour())),
        GridColumn.numbers(
            "best to close",
            "MFE: the best price until the close",
            60,
            m -> best(m.outcome().over(Horizon.TO_CLOSE))),
        GridColumn.words(
            "scans", "The scans that hit", 180, m -> String.join(", ", m.move().scans())));
  }

  static List<GridColumn<ScanTotals>> scans() {
    return List.of(
        GridColumn.words("scan", "", 120, ScanTotals::scan),
        GridColumn.numbers("hits", "All firings", 46, s -> Integer.toString(s.hits())),
        GridColumn.numbers(
            "an hour",
            "Over the hours of its window so far",
            52,
            s -> Numbers.fixed(s.hitsPerHour(), 1)),
        GridColumn.numbers(
            "moves", "Moves with one of its hits", 46, s -> Integer.toString(s.moves())),
        GridColumn.<ScanTotals>numbers(
                "ran",
                "Share of its moves that ran, with the number of cases",
                80,
                s -> s.known() == 0 ? "" : share(s.ran() / (double) s.known()) + " of " + s.known())
            .toned(ReviewColumns::small),
        GridColumn.<ScanTotals>numbers(
                "95% interval",
                "Where the true share lies, by Wilson",
                80,
                s ->
                    s.known() == 0
                        ? ""
                        : share(s.interval().low()) + " – " + share(s.interval().high()))
            .toned(ReviewColumns::small),
        GridColumn.numbers(
            "gone",
            "Median part of the run that was over at the first hit",
            50,
            s -> share(s.medianGone())),
        GridColumn.numbers(
            "best 30m",
            "Median best price in 30 minutes",
            56,
            s -> Numbers.percent(s.medianBest())),
        GridColumn.numbers("trades", "Trades on its moves", 48, s -> Integer.toString(s.trades())),
        GridColumn.<ScanTotals>numbers(
                "net $", "Their result", 80, s -> s.trades() == 0 ? "" : Numbers.money(s.net()))
            .toned(s -> Tone.ofChange(s.net())));
  }

  private static Tone small(ScanTotals totals) {
    return totals.known() < SMALL_SAMPLE ? Tone.FADED : Tone.INK;
  }

  private static String arrow(int direction) {
    return direction > 0 ? "▲ " : "▼ ";
  }

  static String lateness(long nanos) {
    long seconds = nanos / DayTime.SECOND;
    return seconds < 60 ? seconds + " s" : seconds / 60 + " min";
  }

  static String share(double share) {
    return Double.isNaN(share) ? "" : Math.round(share * 100) + "%";
  }

  private static String best(Excursion excursion) {
    return Numbers.percent(excursion.best());
  }

  private static String worst(Excursion excursion) {
    return Numbers.percent(excursion.worst());
  }

  private static String entry(ReviewedTrade reviewed) {
    long at = reviewed.trade().entryAt();
    return at >= 0 ? DayTime.seconds(at) : Numbers.when(at);
  }
}
