package kelvo.desktop.review;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.FigureCell;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.LatestAnswer;
import kelvo.review.EarlierHit;
import kelvo.review.Excursion;
import kelvo.review.Horizon;
import kelvo.review.Move;
import kelvo.review.Outcome;
import kelvo.review.ReviewSettings;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.review.VerdictText;
import kelvo.review.WhyItHit;
import kelvo.scan.Scan;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** One trade or move by its figures, with its verdict and the rule that this goes by. */
final class CloseUp extends VBox {
  private static final int FIGURES = 4;
  private static final int SOONER = 3;

  private final List<FigureCell> cells = new ArrayList<>();
  private final HBox figures = new HBox();
  private final Label verdict = new Label();
  private final Label rule = new Label();
  private final Label hit = new Label();
  private final Label sooner = new Label();
  private final Workspace workspace;
  private final LatestAnswer answers;

  CloseUp(Workspace workspace) {
    super(2);
    this.workspace = workspace;
    answers = workspace.answers().latest("looking for earlier hits");
    setId("close-up");
    getStyleClass().addAll("card");
    figures.getStyleClass().addAll("divided", "figure-row");
    for (int i = 0; i < FIGURES; i++) {
      cells.add(new FigureCell());
    }
    figures.getChildren().addAll(cells);
    verdict.getStyleClass().addAll("strong", "part");
    hit.setId("why-it-hit");
    sooner.setId("sooner");
    for (Label line : List.of(rule, hit, sooner)) {
      line.getStyleClass().addAll("small", "faded", "tight");
      line.setWrapText(true);
      line.setMinWidth(0);
      line.managedProperty().bind(line.textProperty().isNotEmpty());
    }
    getChildren().addAll(verdict, figures, rule, hit, sooner);
    clear();
  }

  void clear() {
    setVisible(false);
    setManaged(false);
  }

  private void open(String symbol, VerdictText text, @Nullable Move move) {
    explain(move);
    setVisible(true);
    setManaged(true);
    verdict.setText(symbol + ": " + text.verdict() + ", " + text.because());
    rule.setText(text.rule());
  }

  /** Why the move was hit when it was, and when it would have been without one of the rules. */
  private void explain(@Nullable Move move) {
    hit.setText("");
    sooner.setText("");
    answers.stop();
    Scan scan = move == null ? null : scanOf(move);
    if (move == null || scan == null) {
      return;
    }
    hit.setText("It was hit by " + WhyItHit.words(move.hits().getFirst(), scan) + ".");
    answers.askInstead(
        progress -> EarlierHit.of(workspace.session(), scan, move, DayTime.HOUR, progress),
        earlier -> sooner.setText(words(move, earlier)));
  }

  private @Nullable Scan scanOf(Move move) {
    return workspace.scans().stream()
        .filter(scan -> scan.name().equals(move.hits().getFirst().scan()))
        .findFirst()
        .orElse(null);
  }

  private static String words(Move move, List<EarlierHit> earlier) {
    if (earlier.isEmpty()) {
      return "No rule alone kept it back in the hour before.";
    }
    return earlier.stream()
            .limit(SOONER)
            .map(
                one ->
                    "Without "
                        + one.rule()
                        + ": at "
                        + DayTime.seconds(one.at())
                        + " at "
                        + Price.text(one.price())
                        + ", "
                        + ReviewColumns.lateness(move.start() - one.at())
                        + " sooner")
            .collect(Collectors.joining(". "))
        + ".";
  }

  void show(ReviewedTrade reviewed, ReviewSettings settings) {
    open(reviewed.trade().symbol(), VerdictText.of(reviewed, settings), reviewed.move());
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
    open(reviewed.move().symbol(), VerdictText.of(reviewed, settings), reviewed.move());
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
