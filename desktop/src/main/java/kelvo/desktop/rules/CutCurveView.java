package kelvo.desktop.rules;

import java.util.function.BiConsumer;
import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.explain.CutCurve;
import kelvo.field.Unit;
import kelvo.research.MovesBeyond;
import org.jspecify.annotations.Nullable;

/**
 * How many would be left at every bound of a rule, drawn as a curve; the bound is dragged along it.
 */
public final class CutCurveView extends Region {
  private static final double LEFT = 34;
  private static final double RIGHT = 10;
  private static final double RIGHT_WITH_SCALE = 42;
  private static final double TOP = 22;
  private static final double BOTTOM = 18;
  private static final double LOG_FROM = 50;

  private final Canvas canvas = new Canvas();
  private final BiConsumer<Double, Double> moved;
  private Theme theme = Theme.DAYBREAK;
  private String why = "";
  private @Nullable CutCurve curve;
  private @Nullable MovesBeyond moves;
  private double low;
  private double high;
  private double from;
  private double to;
  private boolean log;
  private boolean dragging;
  private boolean draggingHigh;

  /**
   * An empty view.
   *
   * @param moved takes the new bounds while one is dragged: from, to
   */
  public CutCurveView(BiConsumer<Double, Double> moved) {
    this.moved = moved;
    getChildren().add(canvas);
    setMinSize(0, 0);
    setCursor(Cursor.H_RESIZE);
    setAccessibleText("Cut curve");
    setOnMousePressed(e -> press(e.getX()));
    setOnMouseDragged(e -> drag(e.getX()));
    setOnMouseReleased(e -> dragging = false);
  }

  /** Uses another theme. */
  public void theme(Theme other) {
    theme = other;
    paint();
  }

  /** Shows a curve, or why there is none. */
  public void show(@Nullable CutCurve shown, String otherwise) {
    why = otherwise;
    boolean other =
        shown == null || curve == null || !shown.field().equals(curve.field()) || !dragging;
    curve = shown;
    if (shown != null && (!dragging || other)) {
      low = shown.low();
      high = shown.high();
      range(shown);
    }
    paint();
  }

  /** Shows how those beyond each bound moved in recorded sessions; null while that is unknown. */
  public void moves(@Nullable MovesBeyond shown) {
    moves = shown;
    paint();
  }

  private void range(CutCurve shown) {
    double[] values = shown.values();
    int finite = values.length;
    while (finite > 0 && Double.isInfinite(values[finite - 1])) {
      finite--;
    }
    from = finite == 0 ? 0 : values[0];
    to = finite == 0 ? 1 : values[finite - 1];
    if (shown.hasLow()) {
      from = Math.min(from, low);
      to = Math.max(to, low);
    }
    if (shown.hasHigh()) {
      from = Math.min(from, high);
      to = Math.max(to, high);
    }
    double leastPositive = to;
    for (double value : values) {
      leastPositive = value > 0 ? Math.min(leastPositive, value) : leastPositive;
    }
    log = from >= 0 && shown.field().unit() != Unit.PERCENT && to > LOG_FROM * leastPositive;
    from = log ? Math.max(from, Math.max(leastPositive, to / 1e9)) : from;
    to = to > from ? to : from + 1;
  }

  private double plotWidth() {
    return Math.max(1, getWidth() - LEFT - (moves == null ? RIGHT : RIGHT_WITH_SCALE));
  }

  private double x(double value) {
    double part =
        log
            ? Math.log(Math.max(value, from) / from) / Math.log(to / from)
            : (value - from) / (to - from);
    return LEFT + Math.clamp(part, 0, 1) * plotWidth();
  }

  private double value(double x) {
    double part = Math.clamp((x - LEFT) / plotWidth(), 0, 1);
    return log ? from * Math.pow(to / from, part) : from + part * (to - from);
  }

  private void press(double x) {
    CutCurve shown = curve;
    if (shown != null) {
      dragging = true;
      draggingHigh =
          shown.hasHigh() && (!shown.hasLow() || Math.abs(x(high) - x) < Math.abs(x(low) - x));
      drag(x);
    }
  }

  private void drag(double x) {
    if (!dragging) {
      return;
    }
    if (draggingHigh) {
      high = Math.max(value(x), low);
    } else {
      low = Math.min(value(x), high);
    }
    moved.accept(low, high);
    paint();
  }

  @Override
  protected void layoutChildren() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    paint();
  }

  private void paint() {
    GraphicsContext g = canvas.getGraphicsContext2D();
    g.setFill(theme.colour(Tone.CARD));
    g.fillRect(0, 0, getWidth(), getHeight());
    g.setFont(Theme.font(11));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
    g.setFill(theme.colour(Tone.FADED));
    CutCurve shown = curve;
    if (shown == null || getHeight() < TOP + BOTTOM + 20) {
      g.fillText(why, 8, 6);
      return;
    }
    int most = Math.max(1, shown.left(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY));
    double floor = getHeight() - BOTTOM;
    axes(g, shown, most, floor);
    curve(g, shown, most, floor);
    bounds(g, shown, floor);
    moves(g, floor);
    g.setFill(theme.colour(Tone.INK));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
    g.fillText(
        shown.left(low, high)
            + " left of "
            + most
            + " that pass all else"
            + (log ? ", log scale" : ""),
        8,
        4);
  }

  private void axes(GraphicsContext g, CutCurve shown, int most, double floor) {
    g.setStroke(theme.colour(Tone.LINES));
    g.strokeLine(LEFT, floor + 0.5, LEFT + plotWidth(), floor + 0.5);
    g.setFont(Theme.font(10));
    g.setFill(theme.colour(Tone.FADED));
    g.setTextAlign(TextAlignment.RIGHT);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(Integer.toString(most), LEFT - 4, TOP);
    g.fillText("0", LEFT - 4, floor);
    g.setTextBaseline(VPos.TOP);
    for (int i = 0; i <= 3; i++) {
      double x = LEFT + plotWidth() * i / 3;
      g.setTextAlign(
          i == 0 ? TextAlignment.LEFT : i == 3 ? TextAlignment.RIGHT : TextAlignment.CENTER);
      Unit unit = shown.field().unit();
      g.fillText(unit.withSign(unit.text(value(x))), x, floor + 3);
    }
  }

  private void curve(GraphicsContext g, CutCurve shown, int most, double floor) {
    g.setStroke(theme.colour(Tone.INK));
    g.setLineWidth(1.5);
    g.beginPath();
    boolean upper = shown.hasHigh() && (!shown.hasLow() || (draggingHigh && dragging));
    for (double x = LEFT; x <= LEFT + plotWidth(); x++) {
      double at = value(x);
      int left = upper ? shown.left(Math.min(low, at), at) : shown.left(at, Math.max(high, at));
      double y = floor - (floor - TOP) * left / most;
      if (x == LEFT) {
        g.moveTo(x, y);
      } else {
        g.lineTo(x, y);
      }
    }
    g.stroke();
    g.setLineWidth(1);
  }

  /** The faint second curve, on a scale of its own whose ends stand at the right. */
  private void moves(GraphicsContext g, double floor) {
    MovesBeyond shown = moves;
    CutCurve along = curve;
    if (shown == null || along == null || shown.rule() != along.rule()) {
      return;
    }
    double least = 0;
    double greatest = 0;
    for (double median : shown.medians()) {
      least = Double.isNaN(median) ? least : Math.min(least, median);
      greatest = Double.isNaN(median) ? greatest : Math.max(greatest, median);
    }
    if (least == greatest) {
      return;
    }
    double perPercent = (floor - TOP) / (greatest - least);
    double zero = floor + least * perPercent;
    g.setStroke(theme.colour(Tone.CATALYST));
    g.setFill(theme.colour(Tone.CATALYST));
    g.setLineDashes(3, 3);
    g.beginPath();
    boolean open = false;
    for (int i = 0; i < shown.bounds().length; i++) {
      double median = shown.medians()[i];
      double y = zero - median * perPercent;
      if (Double.isNaN(median)) {
        open = false;
      } else if (open) {
        g.lineTo(x(shown.bounds()[i]), y);
      } else {
        g.moveTo(x(shown.bounds()[i]), y);
        open = true;
      }
    }
    g.stroke();
    g.setLineDashes();
    g.setFont(Theme.font(10));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    double right = LEFT + plotWidth() + 3;
    g.fillText(Numbers.percent(greatest), right, TOP + 4);
    g.fillText(Numbers.percent(least), right, floor - 4);
  }

  private void bounds(GraphicsContext g, CutCurve shown, double floor) {
    double left = shown.hasLow() ? x(low) : LEFT;
    double right = shown.hasHigh() ? x(high) : LEFT + plotWidth();
    g.setGlobalAlpha(0.5);
    g.setFill(theme.colour(Tone.SELECTION));
    g.fillRect(left, TOP, Math.max(0, right - left), floor - TOP);
    g.setGlobalAlpha(1);
    g.setStroke(theme.colour(Tone.ACCENT));
    g.setLineWidth(2);
    if (shown.hasLow()) {
      g.strokeLine(left, TOP, left, floor);
    }
    if (shown.hasHigh()) {
      g.strokeLine(right, TOP, right, floor);
    }
    g.setLineWidth(1);
  }
}
