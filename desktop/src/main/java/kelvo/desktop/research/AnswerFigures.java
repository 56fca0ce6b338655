package kelvo.desktop.research;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.scene.layout.HBox;
import kelvo.desktop.theme.FigureCell;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.research.Answer;
import kelvo.research.Direction;
import kelvo.research.ResearchCase;
import kelvo.research.ResultFigures;
import kelvo.research.Sample;

/** The six figures of an answer; a click on one lists the cases that it is made of. */
final class AnswerFigures extends HBox {
  private static final int FIGURES = 6;
  private static final int BEST = 3;
  private static final double PERCENT = 100;

  private final List<FigureCell> cells = new ArrayList<>();
  private final BiConsumer<List<ResearchCase>, String> onPick;

  /**
   * No figures yet.
   *
   * @param onPick takes the cases of a figure, and what they are; nothing for all of them
   */
  AnswerFigures(BiConsumer<List<ResearchCase>, String> onPick) {
    this.onPick = onPick;
    setId("answer-figures");
    getStyleClass().addAll("card", "divided", "figure-row");
    for (int i = 0; i < FIGURES; i++) {
      cells.add(new FigureCell());
    }
    getChildren().addAll(cells);
    clear();
  }

  private void clear() {
    cells.forEach(cell -> cell.tell(" ", "", " ", ""));
  }

  private void picks(int place, Supplier<List<ResearchCase>> made, String what) {
    cells.get(place).setOnMouseClicked(e -> onPick.accept(made.get(), what));
  }

  void show(Answer answer) {
    ResultFigures all = answer.figures();
    int n = all.cases();
    tell(
        0,
        answer.question().direction() == Direction.LONG ? "rose, after costs" : "fell, after costs",
        n == 0 ? "" : Math.round(all.wonPercent()) + "%",
        n == 0
            ? "no case"
            : "of "
                + n
                + " · "
                + Math.round(PERCENT * all.winRate().low())
                + "-"
                + Math.round(PERCENT * all.winRate().high())
                + "%",
        "The share of the cases that won, with the interval that chance leaves it (Wilson, 95%).",
        Tone.INK);
    tell(
        1,
        "mean",
        percent(all.mean().mean()),
        "median " + percent(all.median()),
        Double.isNaN(all.mean().low())
            ? "Of one session alone chance cannot be told."
            : "95% between "
                + percent(all.mean().low())
                + " and "
                + percent(all.mean().high())
                + ", whole sessions drawn again.",
        Tone.ofMoney(all.mean().mean()));
    tell(
        2,
        "worst",
        percent(all.worst()),
        "1 in 20 " + percent(all.oneInTwenty()),
        "The worst result, and the one below which one case in twenty lies.",
        Tone.BAD);
    tell(
        3,
        "best three make",
        Double.isNaN(all.bestThree()) ? "" : Math.round(PERCENT * all.bestThree()) + "%",
        "of all gains",
        "How much of all that was won the best three cases won. What was won is "
            + (Double.isNaN(all.profitFactor())
                ? "all there is: nothing was lost."
                : Numbers.fixed(all.profitFactor(), 2) + " times what was lost.")
            + " The running sum fell by at most "
            + percent(all.largestFall()).replace("+", "")
            + ".",
        Tone.INK);
    tell(
        4,
        "sample",
        n == 0 ? "" : answer.sample().words(),
        "p " + Numbers.fixed(answer.corrected(), 3),
        "p is of a mean so far from 0 by chance, corrected for the "
            + answer.cells().size()
            + " cells that are looked at too. Carries it: it is below 0.05,"
            + " there are 40 cases of 15 sessions, and the last third of the dates agrees."
            + " Hints: chance makes so much seldom, asked once.",
        answer.sample() == Sample.CARRIES_IT ? Tone.ACCENT : Tone.INK);
    tell(
        5,
        "and since",
        percent(answer.since().mean().mean()),
        "of " + answer.since().cases(),
        "The mean of the cases in the last third of the dates.",
        Tone.ofMoney(answer.since().mean().mean()));
    picks(0, () -> answer.between(Double.MIN_VALUE, Double.POSITIVE_INFINITY), "won");
    picks(1, answer::cases, "");
    picks(
        2,
        () -> answer.between(Double.NEGATIVE_INFINITY, all.oneInTwenty()),
        "the worst one in twenty");
    picks(3, () -> best(answer), "the best three");
    picks(4, answer::cases, "");
    picks(5, answer::lastThird, "in the last third of the dates");
  }

  private static List<ResearchCase> best(Answer answer) {
    List<ResearchCase> won = answer.between(Double.MIN_VALUE, Double.POSITIVE_INFINITY);
    return won.subList(Math.max(0, won.size() - BEST), won.size());
  }

  static String percent(double part) {
    return Double.isNaN(part) ? "" : Numbers.percent(PERCENT * part);
  }

  private void tell(
      int place, String name, String figure, String madeOf, String meaning, Tone tone) {
    cells.get(place).tell(name, figure, madeOf, meaning);
    cells.get(place).tone(tone);
  }
}
