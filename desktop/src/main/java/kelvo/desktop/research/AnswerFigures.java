package kelvo.desktop.research;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.HBox;
import kelvo.desktop.theme.FigureCell;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.research.Answer;
import kelvo.research.ResultFigures;
import kelvo.research.Sample;

/** The six figures of an answer. */
final class AnswerFigures extends HBox {
  private static final int FIGURES = 6;
  private static final double PERCENT = 100;

  private final List<FigureCell> cells = new ArrayList<>();

  AnswerFigures() {
    setId("answer-figures");
    getStyleClass().addAll("card", "divided", "figure-row");
    for (int i = 0; i < FIGURES; i++) {
      cells.add(new FigureCell());
    }
    getChildren().addAll(cells);
    clear();
  }

  void clear() {
    cells.forEach(cell -> cell.tell(" ", "", " ", ""));
  }

  void show(Answer answer) {
    ResultFigures all = answer.figures();
    int n = all.cases();
    tell(
        0,
        answer.question().direction() > 0 ? "rose, after costs" : "fell, after costs",
        n == 0 ? "" : Math.round(PERCENT * all.won() / n) + "%",
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
