package kelvo.desktop.chart;

import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import kelvo.chart.Measurement;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.field.Unit;
import kelvo.tape.Price;
import org.jspecify.annotations.Nullable;

/**
 * What the price charts have in common: ground, price scale, bars, lines, and the hand. The wheel
 * zooms, dragging moves, a double click goes back; dragging with Shift or the other button
 * measures, and a click with that one opens what is offered about a price; with Ctrl, or while
 * drawing is chosen, a click or a drag draws. The crosshair is shared by all charts.
 */
abstract class ChartCanvas extends Region {
  static final double SCALE_WIDTH = 88;
  static final double TIME_HEIGHT = 16;
  private static final double NOWHERE = -1;
  private static final double STEP_HEIGHT = 22;
  private static final double MIN_BODY = 3;

  private final Canvas canvas = new Canvas();
  private final ChartChoice choice;
  private final ChartSpan span;
  private Theme theme = Theme.DAYBREAK;
  private double pointerX = NOWHERE;
  private double pointerY = NOWHERE;
  private double draggedFrom;
  private boolean onStrip;
  private @Nullable Axis axis;
  private @Nullable Ruler ruler;
  private @Nullable DrawnLine drawing;
  private PriceMenu menu = (price, x, y) -> {};

  /** Held here, since the crosshair of all windows holds it weakly. */
  private final ChangeListener<@Nullable PointedAt> follow =
      (o, was, is) -> {
        if (pointerX < 0) {
          paint();
        }
      };

  ChartCanvas(String name, ChartChoice choice, double leastSpan) {
    this.choice = choice;
    span = new ChartSpan(leastSpan);
    getChildren().add(canvas);
    setAccessibleText(name);
    setMinSize(0, 0);
    setOnMouseMoved(this::point);
    setOnMouseExited(
        e -> {
          pointerX = NOWHERE;
          choice.pointed().set(null);
          paint();
        });
    setOnScroll(
        e -> {
          if (axis != null && e.getDeltaY() != 0) {
            span.zoom(e.getX(), e.getDeltaY() > 0);
            paint();
          }
        });
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(e -> keepDrawn());
    setOnMouseClicked(this::click);
    choice.pointed().addListener(new WeakChangeListener<>(follow));
  }

  /** Paints what there is; the lines of levels are named afterwards. */
  abstract void paint(GraphicsContext g);

  /** What the pointer is at. */
  abstract @Nullable PointedAt pointedAt(double x, double price);

  /** Where something pointed at on another chart stands on this one; NaN when nowhere. */
  abstract double x(PointedAt pointed);

  /** The symbol that is shown; empty for none. */
  abstract String symbol();

  /** What is under the pointer, in words. */
  abstract String describe(double x);

  /** What lies between two points. */
  abstract Measurement measured(double x0, double x1, double price0, double price1);

  /** Takes what was drawn by hand. */
  abstract void drawn(DrawnLine line, Axis on);

  /** How much of the lower end is a strip of the whole, on which the shown part is dragged. */
  double stripHeight() {
    return 0;
  }

  /** What a place on the strip stands for. */
  double atOnStrip(double x) {
    return x;
  }

  private void point(MouseEvent e) {
    pointerX = e.getX();
    pointerY = e.getY();
    paint();
    Axis on = axis;
    choice
        .pointed()
        .set(on == null || pointerX > plotWidth() ? null : pointedAt(pointerX, on.value(pointerY)));
  }

  private void press(MouseEvent e) {
    draggedFrom = e.getX();
    onStrip = e.getY() > getHeight() - stripHeight();
    if (onStrip) {
      span.centre(atOnStrip(e.getX()));
      paint();
      return;
    }
    boolean measures = e.isShiftDown() || e.getButton() == MouseButton.SECONDARY;
    boolean draws = axis != null && draws(e);
    drawing = draws ? new DrawnLine(e.getX(), e.getY(), e.getX(), e.getY()) : null;
    ruler = measures && !draws ? new Ruler(e.getX(), e.getY(), e.getX(), e.getY()) : null;
    paint();
  }

  private boolean draws(MouseEvent e) {
    return e.isShortcutDown() || choice.drawing().get();
  }

  private void drag(MouseEvent e) {
    Ruler measuring = ruler;
    DrawnLine line = drawing;
    if (onStrip) {
      span.centre(atOnStrip(e.getX()));
    } else if (line != null) {
      drawing = line.to(e.getX(), e.getY());
    } else if (measuring != null) {
      ruler = new Ruler(measuring.x0(), measuring.y0(), e.getX(), e.getY());
    } else if (axis != null) {
      span.drag(e.getX() - draggedFrom);
      draggedFrom = e.getX();
    }
    paint();
  }

  private void keepDrawn() {
    DrawnLine line = drawing;
    Axis on = axis;
    drawing = null;
    if (line != null && on != null) {
      drawn(line, on);
      paint();
    }
  }

  private void click(MouseEvent e) {
    Axis on = axis;
    if (e.getButton() == MouseButton.SECONDARY && e.isStillSincePress() && on != null) {
      menu.open(on.value(e.getY()), e.getScreenX(), e.getScreenY());
      return;
    }
    if (e.getClickCount() == 2 && !draws(e)) {
      span.follow();
      paint();
    }
  }

  /** Another symbol is shown: what the hand did belongs to the one before. */
  final void letGo() {
    span.follow();
    ruler = null;
    drawing = null;
  }

  /** Opens what is offered about a price, in dollars, at a place of the screen. */
  @FunctionalInterface
  public interface PriceMenu {
    void open(double price, double x, double y);
  }

  /** What opens when a price is pointed at with the other button. */
  public final void onPriceMenu(PriceMenu opens) {
    menu = opens;
  }

  /** Whether a measurement is drawn. */
  public final boolean isMeasuring() {
    return ruler != null && !ruler.isPoint();
  }

  /** Uses another theme. */
  public final void theme(Theme other) {
    theme = other;
    paint();
  }

  final Theme theme() {
    return theme;
  }

  final ChartChoice choice() {
    return choice;
  }

  final ChartSpan span() {
    return span;
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

  final double plotHeight() {
    return getHeight() - TIME_HEIGHT - stripHeight();
  }

  final void paint() {
    if (getWidth() > SCALE_WIDTH && getHeight() > 40) {
      GraphicsContext g = canvas.getGraphicsContext2D();
      g.setFill(theme.colour(Tone.CARD));
      g.fillRect(0, 0, getWidth(), getHeight());
      axis = null;
      paint(g);
    }
  }

  final void message(GraphicsContext g, String text) {
    g.setFill(theme.colour(Tone.FADED));
    g.setFont(Theme.font(13));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
    g.fillText(text, 12, 12);
  }

  /**
   * The scale of prices; the axis is that of this painting from here on.
   *
   * @return what is to stand at it, painted when all that belongs there is known
   */
  final AxisLabels scale(GraphicsContext g, Axis on) {
    axis = on;
    AxisLabels labels = new AxisLabels(plotWidth(), SCALE_WIDTH, on.top(), on.top() + on.height());
    g.setStroke(theme.colour(Tone.HAIR));
    for (long price : on.steps(Math.max(2, (int) (on.height() / STEP_HEIGHT)))) {
      double y = Math.round(on.y(Price.dollars(price))) + 0.5;
      g.strokeLine(0, y, plotWidth(), y);
      labels.step(y, Price.text(price));
    }
    return labels;
  }

  /** A bar: hollow when it rose, filled when it fell. */
  final void bar(
      GraphicsContext g,
      Axis on,
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
    g.strokeLine(middle, on.y(Price.dollars(high)), middle, on.y(Price.dollars(low)));
    double top = on.y(Price.dollars(Math.max(open, close)));
    double height = Math.max(1, on.y(Price.dollars(Math.min(open, close))) - top);
    if (width >= MIN_BODY) {
      double left = Math.floor(x) + 0.5;
      g.fillRect(left, top, Math.max(1, Math.floor(width) - 1), height);
      g.strokeRect(left, top, Math.max(1, Math.floor(width) - 1), height);
    }
  }

  /** A line through values; unknown ones break it. */
  final void line(
      GraphicsContext g, Axis on, double[] xs, double[] values, Tone tone, double width) {
    g.save();
    g.beginPath();
    g.rect(0, on.top(), plotWidth(), on.height());
    g.clip();
    g.setStroke(theme.colour(tone));
    g.setLineWidth(width);
    g.beginPath();
    boolean open = false;
    for (int i = 0; i < values.length; i++) {
      if (Double.isNaN(values[i])) {
        open = false;
      } else if (open) {
        g.lineTo(xs[i], on.y(values[i]));
      } else {
        g.moveTo(xs[i], on.y(values[i]));
        open = true;
      }
    }
    g.stroke();
    g.restore();
  }

  /** What the hand does now: the crosshair, what is measured and what is being drawn. */
  final void hand(GraphicsContext g, Axis on) {
    if (pointerX >= 0) {
      crosshair(g, on);
    } else {
      otherChartsPointer(g, on);
    }
    Ruler measuring = ruler;
    if (measuring != null && !measuring.isPoint()) {
      Measurement measured =
          measured(
              measuring.x0(), measuring.x1(), on.value(measuring.y0()), on.value(measuring.y1()));
      measuring.paint(g, theme, measured, plotWidth());
    }
    DrawnLine line = drawing;
    if (line != null) {
      line.paint(g, theme);
    }
  }

  /** The pointer's place with the price under it and words for its time. */
  private void crosshair(GraphicsContext g, Axis on) {
    if (pointerX <= plotWidth()) {
      across(g, pointerX, pointerY);
      tag(g, on, on.value(pointerY), Tone.FADED);
      new Legend(g, theme).name(describe(pointerX), Tone.INK);
    }
  }

  /** Where the pointer stands on another chart. */
  private void otherChartsPointer(GraphicsContext g, Axis on) {
    PointedAt pointed = choice.pointed().get();
    if (pointed != null) {
      boolean priced =
          pointed.isPriceOf(symbol())
              && pointed.price() >= on.low()
              && pointed.price() <= on.high();
      across(g, x(pointed), priced ? on.y(pointed.price()) : Double.NaN);
      if (priced) {
        tag(g, on, pointed.price(), Tone.FADED);
      }
    }
  }

  /** A dotted line down and one across, where they are known. */
  private void across(GraphicsContext g, double x, double y) {
    g.setStroke(theme.colour(Tone.FADED));
    g.setLineDashes(1, 2);
    if (x >= 0 && x <= plotWidth()) {
      g.strokeLine(x, 0, x, plotHeight());
    }
    if (y >= 0) {
      g.strokeLine(0, y, plotWidth(), y);
    }
    g.setLineDashes();
  }

  /** A price on the scale, on a ground of its own. */
  final void tag(GraphicsContext g, Axis on, double dollars, Tone tone) {
    double y = on.y(dollars);
    g.setFill(theme.colour(tone));
    g.fillRect(plotWidth() + 1, y - 8, SCALE_WIDTH - 1, 16);
    g.setFill(theme.colour(Tone.CARD));
    g.setFont(Theme.font(12));
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.LEFT);
    g.fillText(Price.text(Price.of(dollars)), plotWidth() + 6, y);
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
