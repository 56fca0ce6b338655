package kelvo.data.report;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import kelvo.research.Answer;
import kelvo.research.Cut;
import kelvo.research.CutCell;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.Reach;
import kelvo.research.RecordSheet;
import kelvo.research.ResearchCase;
import kelvo.research.ResultFigures;
import kelvo.research.TimeTo;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** An answer of research as the tables of docs/formats.md. Unknown numbers are empty. */
public final class ResearchTables {
  private static final List<String> FIGURES =
      List.of(
          "cases",
          "sessions",
          "symbols",
          "won",
          "won_low",
          "won_high",
          "mean_pct",
          "mean_low",
          "mean_high",
          "median_pct",
          "lower_quartile",
          "upper_quartile",
          "one_in_twenty",
          "worst_pct",
          "profit_factor",
          "best_three_share",
          "largest_fall");
  private static final List<String> SAMPLE = List.of("p", "corrected_p", "sample");

  public static final List<String> FIGURE_COLUMNS =
      Stream.of(List.of("held_until"), FIGURES, List.of("mean_since"), SAMPLE)
          .flatMap(List::stream)
          .toList();
  public static final List<String> CUT_COLUMNS =
      Stream.of(List.of("cut", "cell"), FIGURES, List.of("difference"), SAMPLE)
          .flatMap(List::stream)
          .toList();
  public static final List<String> REACH_COLUMNS =
      List.of(
          "reach_pct",
          "cases",
          "gain_first",
          "loss_first",
          "together",
          "neither",
          "median_seconds_to_gain",
          "median_seconds_to_loss");

  private static final List<String> OF_A_DAY =
      List.of("date", "open", "high", "low", "close", "volume", "change_pct", "gap_pct");
  public static final List<String> RECORD_COLUMNS = recordColumns();

  private ResearchTables() {}

  private static List<String> recordColumns() {
    List<String> columns = new ArrayList<>(List.of("date", "symbol", "at", "float", "catalyst"));
    for (int day = 1; day <= RecordSheet.DAYS; day++) {
      for (String what : OF_A_DAY) {
        columns.add("day_" + day + "_" + what);
      }
    }
    return List.copyOf(columns);
  }

  /** How the cases traded on their day and on those after it, a row each. */
  public static List<List<String>> record(List<ResearchCase> cases, List<RecordSheet> sheets) {
    List<List<String>> rows = new ArrayList<>();
    for (int i = 0; i < cases.size(); i++) {
      ResearchCase one = cases.get(i);
      List<String> row =
          new ArrayList<>(
              List.of(
                  one.date().toString(),
                  one.symbol(),
                  DayTime.millis(one.at()),
                  one.cells().getOrDefault(Cut.FLOAT, ""),
                  one.cells().getOrDefault(Cut.CATALYST, "")));
      for (int day = 1; day <= RecordSheet.DAYS; day++) {
        row.addAll(day(sheets.get(i).day(day)));
      }
      rows.add(row);
    }
    return rows;
  }

  private static List<String> day(RecordSheet.@Nullable Day day) {
    return day == null
        ? Collections.nCopies(OF_A_DAY.size(), "")
        : List.of(
            day.bar().date().toString(),
            Price.exact(day.bar().open()),
            Price.exact(day.bar().high()),
            Price.exact(day.bar().low()),
            Price.exact(day.bar().close()),
            Long.toString(day.bar().volume()),
            ReviewTables.number(day.change()),
            ReviewTables.number(day.gap()));
  }

  /** The columns of {@link #cases}: those of the question's own fields are its last. */
  public static List<String> caseColumns(Question question) {
    List<String> columns =
        new ArrayList<>(
            List.of("date", "symbol", "at", "entered_at", "entry", "spread_assumed", "gone"));
    for (String what : List.of("", "best ", "worst ")) {
      for (Held until : Held.values()) {
        columns.add(what + until.words());
      }
    }
    for (Reach reach : Reach.values()) {
      columns.add("seconds to +" + reach.words());
      columns.add("seconds to -" + reach.words());
    }
    Cut.USUAL.forEach(cut -> columns.add("by " + cut.words()));
    question.own().forEach(field -> columns.add(field.words()));
    return List.copyOf(columns);
  }

  /** The row of one horizon. */
  public static List<String> figures(Answer answer) {
    List<String> row = new ArrayList<>(List.of(answer.until().words()));
    addFigures(row, answer.figures());
    row.add(percent(answer.since().mean().mean()));
    addSample(row, answer.p(), answer.corrected(), answer.sample().words());
    return row;
  }

  public static List<List<String>> cuts(Answer answer) {
    return answer.cells().stream().map(ResearchTables::cut).toList();
  }

  private static List<String> cut(CutCell cell) {
    List<String> row = new ArrayList<>(List.of(cell.cut().words(), cell.name()));
    addFigures(row, cell.figures());
    row.add(percent(cell.difference()));
    addSample(row, cell.p(), cell.corrected(), cell.sample().words());
    return row;
  }

  private static void addFigures(List<String> row, ResultFigures figures) {
    row.addAll(
        List.of(
            Integer.toString(figures.cases()),
            Integer.toString(figures.sessions()),
            Integer.toString(figures.symbols()),
            Integer.toString(figures.won()),
            ReviewTables.number(figures.winRate().low()),
            ReviewTables.number(figures.winRate().high()),
            percent(figures.mean().mean()),
            percent(figures.mean().low()),
            percent(figures.mean().high()),
            percent(figures.median()),
            percent(figures.lowerQuartile()),
            percent(figures.upperQuartile()),
            percent(figures.oneInTwenty()),
            percent(figures.worst()),
            ReviewTables.number(figures.profitFactor()),
            ReviewTables.number(figures.bestThree()),
            percent(figures.largestFall())));
  }

  private static void addSample(List<String> row, double p, double corrected, String sample) {
    row.addAll(List.of(ReviewTables.number(p), ReviewTables.number(corrected), sample));
  }

  public static List<List<String>> cases(Answer answer) {
    return answer.cases().stream().map(one -> row(answer.question(), one)).toList();
  }

  private static List<String> row(Question question, ResearchCase one) {
    List<String> row =
        new ArrayList<>(
            List.of(
                one.date().toString(),
                one.symbol(),
                DayTime.millis(one.at()),
                DayTime.millis(one.enteredAt()),
                ReviewTables.number(one.entry()),
                one.spreadAssumed() ? "yes" : "no",
                one.gone() ? "yes" : "no"));
    Stream.of(one.results(), one.best(), one.worst())
        .flatMap(List::stream)
        .forEach(part -> row.add(percent(part)));
    for (Reach reach : Reach.values()) {
      row.add(seconds(one.timeTo(reach).gain()));
      row.add(seconds(one.timeTo(reach).loss()));
    }
    Cut.USUAL.forEach(cut -> row.add(one.cells().getOrDefault(cut, "")));
    question
        .own()
        .forEach(
            field ->
                row.add(ReviewTables.number(one.traits().own().getOrDefault(field, Double.NaN))));
    return row;
  }

  private static String seconds(long time) {
    return time == TimeTo.NEVER ? "" : ReviewTables.number(time / (double) DayTime.SECOND);
  }

  /** How soon the cases were so far ahead or behind, a row for each distance. */
  public static List<List<String>> reach(Answer answer) {
    return Arrays.stream(Reach.values())
        .map(answer::reach)
        .map(
            figures ->
                List.of(
                    Integer.toString(figures.reach().percent()),
                    Integer.toString(answer.cases().size()),
                    Integer.toString(figures.of(TimeTo.First.GAIN).size()),
                    Integer.toString(figures.of(TimeTo.First.LOSS).size()),
                    Integer.toString(figures.of(TimeTo.First.TOGETHER).size()),
                    Integer.toString(figures.of(TimeTo.First.NEITHER).size()),
                    ReviewTables.number(figures.toGain() / DayTime.SECOND),
                    ReviewTables.number(figures.toLoss() / DayTime.SECOND)))
        .toList();
  }

  private static String percent(double part) {
    return ReviewTables.number(100 * part);
  }
}
