package kelvo.desktop.theme;

import java.util.List;
import java.util.function.IntConsumer;
import java.util.stream.DoubleStream;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;

/** Means as dots, a row each, with how far chance alone may move them as lines; 0 in sight. */
public final class IntervalRows extends Painted {
  private static final double RIGHT = 74;
  private static final double TOP = 3;
  private static final double ROW = 18;
  private static final double DOT = 6.5;
  private static final double SMALL_SAMPLE = 0.45;

  /**
   * A row.
   *
   * @param count of how many it is the mean, in words
   * @param low where chance ends; NaN when it cannot be told
   * @param high likewise
   * @param value the mean in words
   * @param few whether it is of so few that it is painted faintly
   * @param help what is said under the pointer
   */
  public record Row(
      String name,
      String count,
      double mean,
      double low,
      double high,
      String value,
      Tone tone,
      boolean few,
      String help) {}

  private final double nameWidth;
  private final double countWidth;
  private final String empty;
  private List<Row> rows = List.of();
  private double lowest;
  private double highest;
  private double scroll;

  /**
   * No rows yet.
   *
   * @param nameWidth room for names
   * @param countWidth room for counts
   * @param empty what stands there without rows
   * @param onPick takes the place of a row that is clicked
   */
  public IntervalRows(
      ObservableValue<Theme> theme,
      double nameWidth,
      double countWidth,
      String empty,
      IntConsumer onPick) {
    super(theme);
    this.nameWidth = nameWidth;
    this.countWidth = countWidth;
    this.empty = empty;
    PointedWords.of(
        this,
        e -> {
          int place = place(e);
          return place < 0 ? "" : rows.get(place).help();
        });
    setOnScroll(
        e -> {
          double most = Math.max(0, TOP + rows.size() * ROW - getHeight());
          scroll = Math.clamp(scroll - e.getDeltaY(), 0, most);
          repaint();
        });
    setOnMousePressed(
        e -> {
          int place = place(e);
          if (place >= 0) {
            onPick.accept(place);
          }
        });
  }

  /** Shows other rows. */
  public void show(List<Row> others) {
    rows = List.copyOf(others);
    lowest = Math.min(0, values().min().orElse(0));
    highest = Math.max(0, values().max().orElse(0));
    scroll = 0;
    repaint();
  }

  private DoubleStream values() {
    return rows.stream()
        .flatMapToDouble(row -> DoubleStream.of(row.mean(), row.low(), row.high()))
        .filter(Double::isFinite);
  }

  private int place(MouseEvent event) {
    int place = (int) Math.floor((event.getY() - TOP + scroll) / ROW);
    return place >= 0 && place < rows.size() ? place : -1;
  }

  private double x(double value) {
    double left = nameWidth + countWidth + 14;
    double span = Math.max(1e-9, highest - lowest);
    return left + (getWidth() - left - RIGHT) * (value - lowest) / span;
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    if (rows.isEmpty()) {
      g.setFill(look.colour(Tone.FADED));
      g.fillText(empty, 8, 14);
      return;
    }
    g.setStroke(look.colour(Tone.LINES));
    g.strokeLine(x(0), 0, x(0), getHeight());
    for (int i = 0; i < rows.size(); i++) {
      row(g, look, rows.get(i), TOP + (i + 0.5) * ROW - scroll);
    }
  }

  private void row(GraphicsContext g, Theme look, Row row, double y) {
    g.setTextAlign(TextAlignment.LEFT);
    g.setFill(look.colour(row.few() ? Tone.FADED : Tone.INK));
    g.fillText(row.name(), 8, y, nameWidth - 10);
    g.setTextAlign(TextAlignment.RIGHT);
    g.fillText(row.count(), nameWidth + countWidth, y);
    double strength = row.few() ? SMALL_SAMPLE : 1;
    if (Double.isFinite(row.low())) {
      g.setStroke(look.colour(row.tone()).deriveColor(0, 1, 1, strength));
      g.setLineWidth(2);
      g.strokeLine(x(row.low()), y, x(row.high()), y);
      g.setLineWidth(1);
    }
    g.setFill(look.colour(row.tone()).deriveColor(0, 1, 1, strength));
    g.fillOval(x(row.mean()) - DOT / 2, y - DOT / 2, DOT, DOT);
    g.fillText(row.value(), getWidth() - 8, y);
  }
}
