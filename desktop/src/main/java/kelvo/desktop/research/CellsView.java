package kelvo.desktop.research;

import java.util.List;
import java.util.function.Consumer;
import java.util.stream.DoubleStream;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.PointedWords;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.research.CutCell;
import kelvo.research.Sample;

/** The mean result of each cell of a cut, with how far chance alone may move it. */
final class CellsView extends Painted {
  private static final double NAME = 92;
  private static final double RIGHT = 124;
  private static final double TOP = 2;
  private static final double ROW = 18;
  private static final double DOT = 7;

  private List<CutCell> cells = List.of();
  private double lowest;
  private double highest;
  private double scroll;

  CellsView(ObservableValue<Theme> theme, String id, Consumer<CutCell> onPick) {
    super(theme);
    setId(id);
    setAccessibleText("The mean result of each cell of a cut, with its interval");
    PointedWords.of(this, this::words);
    setOnScroll(
        e -> {
          double most = Math.max(0, TOP + cells.size() * ROW - getHeight());
          scroll = Math.clamp(scroll - e.getDeltaY(), 0, most);
          repaint();
        });
    setOnMousePressed(
        e -> {
          int place = place(e);
          if (place >= 0) {
            onPick.accept(cells.get(place));
          }
        });
  }

  void show(List<CutCell> others) {
    cells = others;
    lowest = Math.min(0, values().min().orElse(0));
    highest = Math.max(0, values().max().orElse(0));
    scroll = 0;
    repaint();
  }

  private DoubleStream values() {
    return cells.stream()
        .map(cell -> cell.figures().mean())
        .flatMapToDouble(mean -> DoubleStream.of(mean.mean(), mean.low(), mean.high()))
        .filter(Double::isFinite);
  }

  private int place(MouseEvent event) {
    int place = (int) Math.floor((event.getY() - TOP + scroll) / ROW);
    return place >= 0 && place < cells.size() ? place : -1;
  }

  private String words(MouseEvent event) {
    int place = place(event);
    if (place < 0) {
      return "";
    }
    CutCell cell = cells.get(place);
    return "%s: mean %s, %s from the rest, p %s (%s after all cuts): it %s.\nA click lists its cases."
        .formatted(
            cell.name(),
            AnswerFigures.percent(cell.figures().mean().mean()),
            AnswerFigures.percent(cell.difference()),
            Numbers.fixed(cell.p(), 3),
            Numbers.fixed(cell.corrected(), 3),
            cell.sample().words());
  }

  private double x(double part) {
    double span = Math.max(1e-9, highest - lowest);
    return NAME + (getWidth() - NAME - RIGHT) * (part - lowest) / span;
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    if (cells.isEmpty()) {
      g.setFill(look.colour(Tone.FADED));
      g.fillText("All cases are alike in this.", 8, 14);
      return;
    }
    g.setStroke(look.colour(Tone.LINES));
    g.strokeLine(x(0), 0, x(0), getHeight());
    for (int i = 0; i < cells.size(); i++) {
      cell(g, look, cells.get(i), TOP + (i + 0.5) * ROW - scroll);
    }
  }

  private void cell(GraphicsContext g, Theme look, CutCell cell, double y) {
    double strength = cell.isFaded() ? 0.45 : 1;
    g.setTextAlign(TextAlignment.LEFT);
    g.setFill(look.colour(cell.isFaded() ? Tone.FADED : Tone.INK));
    g.fillText(cell.name(), 8, y, NAME - 12);
    g.setTextAlign(TextAlignment.RIGHT);
    int n = cell.figures().cases();
    g.fillText(
        Math.round(100.0 * cell.figures().won() / n) + "% of " + n, getWidth() - 8, y, RIGHT - 56);
    g.fillText(AnswerFigures.percent(cell.figures().mean().mean()), getWidth() - 76, y);
    Tone tone = cell.sample() == Sample.SAYS_NOTHING ? Tone.FADED : Tone.ACCENT;
    g.setStroke(look.colour(tone).deriveColor(0, 1, 1, strength));
    g.setFill(look.colour(tone).deriveColor(0, 1, 1, strength));
    if (Double.isFinite(cell.figures().mean().low())) {
      g.setLineWidth(2);
      g.strokeLine(x(cell.figures().mean().low()), y, x(cell.figures().mean().high()), y);
      g.setLineWidth(1);
    }
    g.fillOval(x(cell.figures().mean().mean()) - DOT / 2, y - DOT / 2, DOT, DOT);
  }
}
