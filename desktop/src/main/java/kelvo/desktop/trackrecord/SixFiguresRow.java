package kelvo.desktop.trackrecord;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.HBox;
import kelvo.desktop.theme.FigureCell;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.review.SixFigures;

/** The six figures of a review, above its lanes. */
public final class SixFiguresRow extends HBox {
  private static final int FIGURES = 6;

  private final List<FigureCell> cells = new ArrayList<>();

  /** No figures yet. */
  public SixFiguresRow() {
    setId("six-figures");
    getStyleClass().addAll("card", "divided", "figure-row");
    for (int i = 0; i < FIGURES; i++) {
      cells.add(new FigureCell());
    }
    getChildren().addAll(cells);
    cells.getFirst().figure().setId("net");
    clear();
  }

  /** Shows nothing while a review is being made. */
  public void clear() {
    cells.forEach(cell -> cell.tell(" ", "", " ", ""));
  }

  /** Shows figures, of a day or of more. */
  public void show(SixFigures six) {
    int trades = six.all().trades();
    tell(
        0,
        "net of fees",
        trades == 0 ? "" : Numbers.money(six.all().net()),
        "fees $" + Numbers.fixed(six.all().fees(), 2),
        "The results of all trades that are closed, less their fees.",
        Tone.ofMoney(six.all().net()));
    tell(
        1,
        "on a hit",
        six.onHit().trades() + " of " + trades,
        trades == 0 ? "" : Numbers.money(six.onHit().net()),
        "Trades entered while a move of their side was on, and not late.",
        Tone.INK);
    tell(
        2,
        "late",
        String.valueOf(six.late().trades()),
        six.late().trades() == 0
            ? "none chased"
            : "$" + Numbers.whole(Math.round(six.lateCost())) + " to chase",
        "Trades on a hit, but far beyond its price or long after it; what they paid beyond the price of the first hit.",
        six.late().trades() > 0 ? Tone.BAD : Tone.INK);
    tell(
        3,
        "off plan",
        String.valueOf(six.offPlan().trades()),
        six.offPlan().trades() == 0 ? "none" : Numbers.money(six.offPlan().net()),
        "Trades with no hit behind them.",
        six.offPlan().trades() > 0 ? Tone.BAD : Tone.INK);
    ran(4, "missed that ran", six.missed(), "Moves on symbols that were never looked at.");
    ran(5, "dropped that ran", six.dropped(), "Moves on symbols that had been dropped by hand.");
  }

  private void ran(int place, String name, SixFigures.Ran moves, String meaning) {
    tell(
        place,
        name,
        moves.ran() + " of " + moves.known(),
        moves.ran() == 0 ? "" : moves.symbol() + " " + Numbers.percent(moves.best()),
        meaning
            + " Only those that ran cost anything; the one that went furthest in 30 minutes is named.",
        moves.ran() > 0 ? Tone.CATALYST : Tone.INK);
  }

  private void tell(
      int place, String name, String figure, String madeOf, String meaning, Tone tone) {
    cells.get(place).tell(name, figure, madeOf, meaning);
    cells.get(place).tone(tone);
  }
}
