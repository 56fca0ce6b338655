package kelvo.desktop.chart;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.field.Unit;
import kelvo.market.Price;

/** What the price charts have in common: ground, price scale, bars, lines, a crosshair. */
abstract class ChartCanvas extends Region {
  static final double SCALE_WIDTH = 52;
  static final double TIME_HEIGHT = 16;

  private static final double LEGEND_HEIGHT = 18;
  private static final double LABEL_HEIGHT = 12;

  /** A letter of a level's name is hardly ever wider. */
  private static final double LETTER_WIDTH = 5.4;

  /** The levels' names in this painting. */
  private final List<LevelName> names = new ArrayList<>();

  private final Canvas canvas = new Canvas();
  private Theme theme = Theme.DAYBREAK;
  private double pointerX = -1;
  private double pointerY = -1;
  private final ChartChoice choice;

  /** A level's name, drawn over everything so that no line crosses it. */
  private record LevelName(String text, double left, double top, Tone tone) {
    double right() {
      return left + text.length() * LETTER_WIDTH + 8;
    }
  }

  ChartCanvas(String name, ChartChoice choice) {
    this.choice = choice;
    getChildren().add(canvas);
    setAccessibleText(name);
    setMinSize(0, 0);
    setOnMouseMoved(
        e -> {
          pointerX = e.getX();
          pointerY = e.getY();
          paint();
          choice.pointedPrice().set(priceAt(pointerY));
        });
    setOnMouseExited(
        e -> {
          pointerX = -1;
          choice.pointedPrice().set(Double.NaN);
          paint();
        });
    choice
        .pointedPrice()
        .addListener(
            (o, was, is) -> {
              if (pointerX < 0) {
                paint();
              }
            });
  }

  /** Uses another theme. */
  public final void theme(Theme other) {
    theme = other;
    paint();
  }

  final Theme theme() {
    return theme;
  }

  @Override
  protected final void layoutChildren() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    paint();
  }

  final double plotWidth() {
    return getWidth() - SCALE_WIDTH;
  }

  final void paint() {
    if (getWidth() > SCALE_WIDTH && getHeight() > 40) {
      GraphicsContext g = canvas.getGraphicsContext2D();
      g.setFill(theme.colour(Tone.CARD));
      g.fillRect(0, 0, getWidth(), getHeight());
      names.clear();
      paint(g);
      names.forEach(name -> paint(g, name));
    }
  }

  abstract void paint(GraphicsContext g);

  /** The price at a height of the last painting, dollars; NaN when nothing was painted. */
  abstract double priceAt(double y);

  final ChartChoice choice() {
    return choice;
  }

  final void message(GraphicsContext g, String text) {
    g.setFill(theme.colour(Tone.FADED));
    g.setFont(Theme.font(12));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
    g.fillText(text, 12, 12);
  }

  final void scale(GraphicsContext g, Axis axis) {
    double step = axis.step(Math.max(2, (int) (axis.height() / 36)));
    g.setFont(Theme.font(10));
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.LEFT);
    for (double value = Math.ceil(axis.low() / step) * step; value <= axis.high(); value += step) {
      double y = Math.round(axis.y(value)) + 0.5;
      g.setStroke(theme.colour(Tone.LINES));
      g.strokeLine(0, y, plotWidth(), y);
      g.setFill(theme.colour(Tone.FADED));
      g.fillText(Price.text(Price.of(value)), plotWidth() + 4, y);
    }
  }

  /** A bar: hollow when it rose, filled when it fell. */
  final void bar(
      GraphicsContext g,
      Axis axis,
      double x,
      double width,
      long open,
      long high,
      long low,
      long close) {
    boolean up = close >= open;
    g.setStroke(theme.colour(up ? Tone.UP : Tone.DOWN));
    g.setFill(theme.colour(up ? Tone.CARD : Tone.DOWN));
    double middle = Math.floor(x + width / 2) + 0.5;
    g.strokeLine(middle, axis.y(Price.dollars(high)), middle, axis.y(Price.dollars(low)));
    double top = axis.y(Price.dollars(Math.max(open, close)));
    double height = Math.max(1, axis.y(Price.dollars(Math.min(open, close))) - top);
    if (width >= 3) {
      double left = Math.floor(x) + 0.5;
      g.fillRect(left, top, Math.max(1, Math.floor(width) - 1), height);
      g.strokeRect(left, top, Math.max(1, Math.floor(width) - 1), height);
    }
  }

  /** A line through values; unknown ones break it. */
  final void line(
      GraphicsContext g,
      Axis axis,
      double[] xs,
      double[] values,
      Tone tone,
      double width,
      double... dashes) {
    g.setStroke(theme.colour(tone));
    g.setLineWidth(width);
    g.setLineDashes(dashes);
    g.beginPath();
    boolean open = false;
    for (int i = 0; i < values.length; i++) {
      if (Double.isNaN(values[i])) {
        open = false;
      } else if (open) {
        g.lineTo(xs[i], axis.y(values[i]));
      } else {
        g.moveTo(xs[i], axis.y(values[i]));
        open = true;
      }
    }
    g.stroke();
    g.setLineDashes();
    g.setLineWidth(1);
  }

  /** A level across the chart with its name and price. */
  final void level(GraphicsContext g, Axis axis, double dollars, String name, Tone tone) {
    double y = Math.round(axis.y(dollars)) + 0.5;
    if (y < axis.top() || y > axis.top() + axis.height()) {
      return;
    }
    g.setStroke(theme.colour(tone));
    g.setLineDashes(5, 3);
    g.strokeLine(0, y, plotWidth(), y);
    g.setLineDashes();
    boolean underLegend = y < LEGEND_HEIGHT + LABEL_HEIGHT;
    double top = underLegend ? Math.max(y + 1, LEGEND_HEIGHT) : y - LABEL_HEIGHT - 1;
    double left = 4;
    for (LevelName other : names) {
      left = Math.abs(other.top() - top) < LABEL_HEIGHT ? Math.max(left, other.right()) : left;
    }
    names.add(new LevelName(name, left, top, tone));
  }

  private void paint(GraphicsContext g, LevelName name) {
    g.setFill(theme.colour(Tone.CARD));
    g.fillRect(name.left() - 2, name.top(), name.right() - name.left(), LABEL_HEIGHT);
    g.setFill(theme.colour(name.tone()));
    g.setFont(Theme.font(10));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(name.text(), name.left(), name.top() + LABEL_HEIGHT / 2);
  }

  /** A level that rises or falls across the chart, with its name where it stands now. */
  final void slanted(
      GraphicsContext g, Axis axis, double left, double right, double nowX, String name) {
    g.save();
    g.beginPath();
    g.rect(0, axis.top(), plotWidth(), axis.height());
    g.clip();
    g.setStroke(theme.colour(Tone.INK));
    g.strokeLine(0, left, plotWidth(), right);
    g.restore();
    double x = Math.clamp(nowX, 0, plotWidth());
    double y = left + (right - left) * x / plotWidth();
    if (y > axis.top() + LABEL_HEIGHT && y < axis.top() + axis.height()) {
      g.setFill(theme.colour(Tone.INK));
      g.setFont(Theme.font(10));
      g.setTextAlign(TextAlignment.RIGHT);
      g.setTextBaseline(VPos.BOTTOM);
      g.fillText(name, x - 4, y - 3);
    }
  }

  /** The pointer's place with the price under it and a text for its x. */
  final void crosshair(
      GraphicsContext g, Axis axis, java.util.function.DoubleFunction<String> atX) {
    if (pointerX < 0) {
      otherChartsPointer(g, axis);
      return;
    }
    if (pointerX > plotWidth()) {
      return;
    }
    g.setStroke(theme.colour(Tone.FADED));
    g.setLineDashes(1, 2);
    g.strokeLine(pointerX, 0, pointerX, getHeight() - TIME_HEIGHT);
    g.strokeLine(0, pointerY, plotWidth(), pointerY);
    g.setLineDashes();
    tag(g, axis, axis.value(pointerY), Tone.FADED);
    g.setFill(theme.colour(Tone.INK));
    g.setFont(Theme.font(11));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
    g.fillText(atX.apply(pointerX), 6, 4);
  }

  /** Where the pointer stands on another chart. */
  private void otherChartsPointer(GraphicsContext g, Axis axis) {
    double price = choice.pointedPrice().get();
    if (price >= axis.low() && price <= axis.high()) {
      g.setStroke(theme.colour(Tone.FADED));
      g.setLineDashes(1, 2);
      g.strokeLine(0, axis.y(price), plotWidth(), axis.y(price));
      g.setLineDashes();
      tag(g, axis, price, Tone.FADED);
    }
  }

  /** A price on the scale, on a ground of its own. */
  final void tag(GraphicsContext g, Axis axis, double dollars, Tone tone) {
    double y = axis.y(dollars);
    g.setFill(theme.colour(tone));
    g.fillRect(plotWidth() + 1, y - 8, SCALE_WIDTH - 1, 16);
    g.setFill(theme.colour(Tone.CARD));
    g.setFont(Theme.strongFont(11));
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.LEFT);
    g.fillText(Price.text(Price.of(dollars)), plotWidth() + 4, y);
  }

  /** A bar in words, for the crosshair. */
  static String words(long open, long high, long low, long close, long volume) {
    return "  open "
        + Price.text(open)
        + "  high "
        + Price.text(high)
        + "  low "
        + Price.text(low)
        + "  close "
        + Price.text(close)
        + "  "
        + Unit.SHARES.text(volume)
        + " shares";
  }

  final boolean pointerOnChart() {
    return pointerX >= 0;
  }
}
