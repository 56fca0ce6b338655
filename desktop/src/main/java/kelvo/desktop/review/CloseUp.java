package kelvo.desktop.review;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.FigureCell;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.review.Excursion;
import kelvo.review.Horizon;
import kelvo.review.Outcome;
import kelvo.review.ReviewSettings;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.review.VerdictText;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** One trade or move by its figures, with its verdict and the rule that this goes by. */
final class CloseUp extends VBox {
  private static final int FIGURES = 4;

  private final List<FigureCell> cells = new ArrayList<>();
  private final HBox figures = new HBox();
  private final Label verdict = new Label();
  private final Label rule = new Label();

  CloseUp() {
    super(2);
    setId("close-up");
    getStyleClass().addAll("card");
    figures.getStyleClass().addAll("divided", "figure-row");
    for (int i = 0; i < FIGURES; i++) {
      cells.add(new FigureCell());
    }
    figures.getChildren().addAll(cells);
    verdict.getStyleClass().addAll("strong", "part");
    rule.getStyleClass().addAll("small", "faded", "part");
    rule.setWrapText(true);
    getChildren().addAll(verdict, figures, rule);
    clear();
  }

  void clear() {
    setVisible(false);
    setManaged(false);
  }

  private void open(String symbol, VerdictText text) {
    setVisible(true);
    setManaged(true);
    verdict.setText(symbol + ": " + text.verdict() + ", " + text.because());
    rule.setText(text.rule());
  }

  void show(ReviewedTrade reviewed, ReviewSettings settings) {
    open(reviewed.trade().symbol(), VerdictText.of(reviewed, settings));
    var move = reviewed.move();
    if (move == null) {
      cells.get(0).tell("first hit", "none", " ", "");
    } else {
      cells
          .get(0)
          .tell(
              "first hit",
              DayTime.seconds(move.start()),
              "at " + Price.text(move.startPrice()),
              "The first hit of the move that the trade was on.");
    }
    boolean overnight = reviewed.trade().entryAt() < 0;
    String chase = move == null ? "" : ", " + Numbers.percent(reviewed.chasePercent());
    cells
        .get(1)
        .tell(
            "your entry",
            overnight
                ? Numbers.when(reviewed.trade().entryAt())
                : DayTime.seconds(reviewed.trade().entryAt()),
            "at " + Numbers.fixed(reviewed.trade().entryPrice(), 2) + chase,
            "The first fill, the average price of the fills that opened, and how far that was beyond the first hit's.");
    cells.get(1).tone(reviewed.verdict() == kelvo.review.TradeVerdict.LATE ? Tone.BAD : Tone.INK);
    cells
        .get(2)
        .tell(
            "best in it",
            Numbers.percent(reviewed.bestPercent()),
            "worst " + Numbers.percent(reviewed.worstPercent()),
            "MFE and MAE: the best and the worst price between entry and exit, against the entry.");
    cells
        .get(3)
        .tell(
            "your exit",
            reviewed.trade().closed() ? DayTime.seconds(reviewed.trade().exitAt()) : "open",
            "at "
                + Numbers.fixed(reviewed.trade().exitPrice(), 2)
                + ", "
                + Numbers.money(reviewed.result()),
            "The last fill, the average price of the fills that closed, and the result.");
    cells.get(3).tone(Tone.INK);
  }

  void show(ReviewedMove reviewed, ReviewSettings settings) {
    open(reviewed.move().symbol(), VerdictText.of(reviewed, settings));
    Outcome outcome = reviewed.outcome();
    cells
        .get(0)
        .tell(
            "first hit",
            DayTime.seconds(reviewed.move().start()),
            "at " + Price.text(reviewed.move().startPrice()),
            "The first hit of the move.");
    excursion(1, "best in 5 min", outcome.over(Horizon.FIVE_MINUTES));
    cells.get(1).tone(Tone.INK);
    excursion(2, "best in 30 min", outcome.halfHour());
    excursion(3, "best to the close", outcome.over(Horizon.TO_CLOSE));
    cells.get(3).tone(Tone.INK);
  }

  private void excursion(int place, String name, Excursion excursion) {
    boolean isKnown = !Double.isNaN(excursion.best());
    cells
        .get(place)
        .tell(
            name,
            isKnown ? Numbers.percent(excursion.best()) : "unknown",
            isKnown ? "worst " + Numbers.percent(excursion.worst()) : " ",
            "MFE and MAE: the best and the worst price for the move's side, against the first that could be had.");
  }
}
