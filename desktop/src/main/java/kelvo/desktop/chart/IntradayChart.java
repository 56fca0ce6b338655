package kelvo.desktop.chart;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.engine.MarketSnapshot;
import kelvo.market.GroupedBars;
import kelvo.market.Halts;
import kelvo.market.Measurement;
import kelvo.market.MinuteBar;
import kelvo.market.Price;
import kelvo.market.ReferenceLevel;
import kelvo.scan.Hit;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.trade.Fill;
import kelvo.watch.Level;
import org.jspecify.annotations.Nullable;

/**
 * The chart of the day: bars of 1, 5 or 15 minutes, VWAP, EMA 9, the levels that everybody looks at
 * and the trader's own, halts, and the hits and fills of the symbol in their places. The wheel
 * zooms, dragging moves, a double click shows the whole day again; dragging with Shift or the other
 * button measures; with Ctrl, or while drawing is chosen, a click sets a level and dragging draws a
 * trend line.
 */
public final class IntradayChart extends ChartCanvas {
  private static final double VOLUME_SHARE = 0.17;
  private static final long LEAST_SPAN = 150 * DayTime.MINUTE;
  private static final long LEAST_ZOOMED = 10 * DayTime.MINUTE;
  private static final double ZOOM = 1.25;

  private MarketSnapshot.@Nullable Focus focus;
  private List<Level> levels = List.of();
  private List<Fill> fills = List.of();
  private long now;
  private long close = SessionHours.OPEN;
  private int barsDrawn;
  private long start = DayTime.FIRST;
  private double pixelsPerNano;
  private List<MinuteBar> bars = List.of();
  private @Nullable Axis drawn;

  /** What is shown while it was zoomed or moved by hand; empty while it follows the day. */
  private @Nullable View view;

  private @Nullable Ruler ruler;
  private @Nullable DrawnLine drawing;
  private final DrawnLevels drawnLevels;
  private double draggedFrom;

  /** A stretch of the day. */
  private record View(long from, long to) {}

  /** An empty chart. */
  public IntradayChart(ChartChoice choice, DrawnLevels drawnLevels) {
    super("Intraday chart", choice);
    this.drawnLevels = drawnLevels;
    choice.minutes().addListener((o, was, is) -> group());
    choice.extended().addListener((o, was, is) -> group());
    setOnScroll(e -> zoom(e.getX(), e.getDeltaY() > 0 ? ZOOM : 1 / ZOOM));
    setOnMousePressed(this::press);
    setOnMouseDragged(this::drag);
    setOnMouseReleased(e -> keepDrawn());
    setOnMouseClicked(this::click);
  }

  private void group() {
    MarketSnapshot.Focus shown = focus;
    boolean all = choice().extended().get();
    bars =
        shown == null
            ? List.of()
            : GroupedBars.of(
                shown.minutes(),
                choice().minutes().get(),
                at -> all || at >= SessionHours.OPEN && at < close);
    paint();
  }

  private void zoom(double x, double factor) {
    if (pixelsPerNano > 0) {
      long fixed = timeAt(x);
      long span = (long) (plotWidth() / pixelsPerNano / factor);
      if (span >= LEAST_ZOOMED && span <= DayTime.LAST - DayTime.FIRST) {
        long from = fixed - (long) (x / plotWidth() * span);
        view = new View(from, from + span);
        paint();
      }
    }
  }

  private void press(MouseEvent e) {
    draggedFrom = e.getX();
    boolean measures = e.isShiftDown() || e.getButton() == MouseButton.SECONDARY;
    boolean draws = drawn != null && draws(e);
    drawing = draws ? new DrawnLine(e.getX(), e.getY(), e.getX(), e.getY()) : null;
    ruler = measures && !draws ? new Ruler(e.getX(), e.getY(), e.getX(), e.getY()) : null;
    paint();
  }

  private boolean draws(MouseEvent e) {
    return e.isShortcutDown() || choice().drawing().get();
  }

  private void drag(MouseEvent e) {
    Ruler measuring = ruler;
    DrawnLine line = drawing;
    if (line != null) {
      drawing = line.to(e.getX(), e.getY());
    } else if (measuring != null) {
      ruler = new Ruler(measuring.x0(), measuring.y0(), e.getX(), e.getY());
    } else if (pixelsPerNano > 0) {
      long moved = (long) ((draggedFrom - e.getX()) / pixelsPerNano);
      long span = (long) (plotWidth() / pixelsPerNano);
      view = new View(start + moved, start + moved + span);
      draggedFrom = e.getX();
    }
    paint();
  }

  /** Hands what has been drawn to whoever keeps levels. */
  private void keepDrawn() {
    DrawnLine line = drawing;
    Axis axis = drawn;
    drawing = null;
    MarketSnapshot.Focus shown = focus;
    if (line == null || axis == null || shown == null) {
      return;
    }
    String symbol = shown.facts().symbol();
    long first = Price.of(axis.value(line.y0()));
    if (line.isPoint() && first > 0) {
      drawnLevels.level(symbol, first);
    } else if (!line.isPoint()) {
      drawnLevels.trendLine(
          symbol, timeAt(line.x0()), first, timeAt(line.x1()), Price.of(axis.value(line.y1())));
    }
    paint();
  }

  private long timeAt(double x) {
    return (long) (start + x / pixelsPerNano);
  }

  private void click(MouseEvent e) {
    if (e.getClickCount() == 2 && !draws(e)) {
      view = null;
      paint();
    }
  }

  @Override
  double priceAt(double y) {
    Axis last = drawn;
    return last == null ? Double.NaN : last.value(y);
  }

  /** Shows a symbol at a moment. */
  public void show(
      MarketSnapshot.@Nullable Focus symbol,
      List<Level> standing,
      List<Fill> done,
      long moment,
      long closes) {
    if (symbol == null || focus == null || symbol.security() != focus.security()) {
      view = null;
      ruler = null;
      drawing = null;
    }
    close = closes;
    focus = symbol;
    levels = standing;
    fills = done;
    now = moment;
    group();
  }

  /** How many bars the last painting drew. */
  public int barsDrawn() {
    return barsDrawn;
  }

  /** Whether a measurement is drawn. */
  public boolean isMeasuring() {
    return ruler != null && !ruler.isPoint();
  }

  private double x(long moment) {
    return (moment - start) * pixelsPerNano;
  }

  @Override
  void paint(GraphicsContext g) {
    barsDrawn = 0;
    MarketSnapshot.Focus shown = focus;
    if (shown == null || bars.isEmpty()) {
      message(
          g,
          shown == null
              ? "No symbol in focus: choose one in the list, or press / and type."
              : choice().extended().get()
                  ? "No print that counts since 04:00."
                  : "No print in regular hours yet.");
      return;
    }
    View chosen = view;
    long end =
        chosen == null
            ? Math.max(
                Math.min(now, choice().extended().get() ? now : close) + 12 * DayTime.MINUTE,
                bars.getFirst().start() + LEAST_SPAN)
            : chosen.to();
    start =
        chosen == null
            ? Math.max(DayTime.FIRST, bars.getFirst().start() - 5 * DayTime.MINUTE)
            : chosen.from();
    pixelsPerNano = plotWidth() / (end - start);
    double plot = getHeight() - TIME_HEIGHT;
    List<MinuteBar> seen = seen(end);
    Axis axis = axis(seen, plot * (1 - VOLUME_SHARE));
    drawn = axis;
    hours(g, plot);
    scale(g, axis);
    halts(g, shown.halts(), plot);
    volume(g, seen, plot);
    bars(g, axis, seen);
    averages(g, axis, seen);
    levels(g, axis, shown);
    hits(g, axis, shown.hits());
    fills(g, axis);
    tag(g, axis, Price.dollars(shown.price()), Tone.ofChange(shown.change()));
    crosshair(g, axis, this::describe);
    measure(g, axis);
    DrawnLine line = drawing;
    if (line != null) {
      line.paint(g, theme());
    }
    legend(g);
  }

  /** The bars in the stretch that is shown; the nearest one when there is none. */
  private List<MinuteBar> seen(long end) {
    long span = choice().minutes().get() * DayTime.MINUTE;
    List<MinuteBar> seen =
        bars.stream().filter(b -> b.start() + span > start && b.start() < end).toList();
    return seen.isEmpty() ? List.of(bars.getLast()) : seen;
  }

  /** What lies between the two ends of the ruler: price, per cent, time, shares traded. */
  private void measure(GraphicsContext g, Axis axis) {
    Ruler measured = ruler;
    MarketSnapshot.Focus shown = focus;
    if (measured == null || shown == null || measured.isPoint()) {
      return;
    }
    Measurement measurement =
        Measurement.of(
            shown.minutes(),
            timeAt(measured.x0()),
            timeAt(measured.x1()),
            axis.value(measured.y0()),
            axis.value(measured.y1()));
    measured.paint(g, theme(), measurement, plotWidth());
  }

  private Axis axis(List<MinuteBar> bars, double height) {
    long low = Long.MAX_VALUE;
    long high = 0;
    for (MinuteBar bar : bars) {
      low = Math.min(low, bar.low());
      high = Math.max(high, bar.high());
    }
    return Axis.of(Price.dollars(low), Price.dollars(high), 6, height - 6);
  }

  private void hours(GraphicsContext g, double plot) {
    g.setFont(Theme.font(10));
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    double open = x(SessionHours.OPEN);
    if (open > 0) {
      g.setFill(theme().colour(Tone.GROUND));
      g.fillRect(0, 0, Math.min(open, plotWidth()), plot);
    }
    long step = pixelsPerNano * DayTime.HOUR > 90 ? DayTime.HOUR / 2 : DayTime.HOUR;
    for (long at = (start / step + 1) * step; x(at) < plotWidth() - 14; at += step) {
      g.setStroke(theme().colour(Tone.LINES));
      g.strokeLine(Math.round(x(at)) + 0.5, 0, Math.round(x(at)) + 0.5, plot);
      g.setFill(theme().colour(Tone.FADED));
      g.fillText(DayTime.minutes(at), x(at), plot + TIME_HEIGHT / 2);
    }
  }

  private void halts(GraphicsContext g, Halts halts, double plot) {
    for (Halts.Halt halt : halts.all()) {
      double left = x(halt.from());
      double right = x(Math.min(now, halt.to()));
      g.setStroke(theme().colour(Tone.HALT));
      for (double at = left; at < right; at += 4) {
        g.strokeLine(at, plot, Math.min(at + 12, right), 0);
      }
      g.strokeRect(left, 0.5, Math.max(1, right - left), plot - 1);
    }
  }

  private void volume(GraphicsContext g, List<MinuteBar> bars, double plot) {
    long most = bars.stream().mapToLong(MinuteBar::volume).max().orElse(1);
    double width = Math.max(1, choice().minutes().get() * DayTime.MINUTE * pixelsPerNano - 1);
    g.setFill(theme().colour(Tone.FADED).deriveColor(0, 1, 1, 0.55));
    for (MinuteBar bar : bars) {
      double height = bar.volume() / (double) Math.max(1, most) * plot * VOLUME_SHARE;
      g.fillRect(x(bar.start()), plot - height, width, height);
    }
  }

  private void bars(GraphicsContext g, Axis axis, List<MinuteBar> bars) {
    double width = Math.min(14, choice().minutes().get() * DayTime.MINUTE * pixelsPerNano * 0.8);
    for (MinuteBar bar : bars) {
      bar(g, axis, x(bar.start()), width, bar.open(), bar.high(), bar.low(), bar.close());
      barsDrawn++;
    }
  }

  private void averages(GraphicsContext g, Axis axis, List<MinuteBar> bars) {
    double[] xs =
        bars.stream()
            .mapToDouble(b -> x(b.start() + choice().minutes().get() * DayTime.MINUTE / 2))
            .toArray();
    line(g, axis, xs, bars.stream().mapToDouble(MinuteBar::ema9).toArray(), Tone.CATALYST, 1.2);
    line(g, axis, xs, bars.stream().mapToDouble(MinuteBar::vwap).toArray(), Tone.ACCENT, 1.8);
  }

  private void levels(GraphicsContext g, Axis axis, MarketSnapshot.Focus shown) {
    for (ReferenceLevel reference : shown.references()) {
      level(
          g,
          axis,
          Price.dollars(reference.price()),
          reference.name() + " " + Price.text(reference.price()),
          Tone.FADED);
    }
    long end = timeAt(plotWidth());
    for (Level level : levels) {
      long price = level.priceAt(now);
      String name = level.kind().words() + " " + Price.text(price);
      if (level.rise() == 0) {
        level(g, axis, Price.dollars(price), name, Tone.INK);
      } else {
        double from = axis.y(Price.dollars(level.priceAt(start)));
        slanted(g, axis, from, axis.y(Price.dollars(level.priceAt(end))), x(now), name);
      }
    }
  }

  private void hits(GraphicsContext g, Axis axis, List<Hit> hits) {
    g.setFill(theme().colour(Tone.ACCENT));
    double last = -10;
    for (Hit hit : hits) {
      double at = x(hit.at());
      if (at - last >= 5) {
        double way = hit.side().direction();
        double y = axis.y(Price.dollars(hit.price())) + way * 9;
        g.fillPolygon(
            new double[] {at - 3.5, at + 3.5, at},
            new double[] {y + way * 4, y + way * 4, y - way * 3},
            3);
        last = at;
      }
    }
  }

  private void fills(GraphicsContext g, Axis axis) {
    g.setFont(Theme.strongFont(10));
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    for (Fill fill : fills) {
      boolean in = fill.side().sign() > 0;
      double at = x(fill.at());
      double y = axis.y(Price.dollars(fill.price()));
      g.setFill(theme().colour(in ? Tone.UP : Tone.DOWN));
      g.fillOval(at - 7, y - 7, 14, 14);
      g.setFill(theme().colour(Tone.CARD));
      g.fillText(fill.side().word().substring(0, 1).toUpperCase(java.util.Locale.ROOT), at, y);
    }
  }

  private String describe(double pointer) {
    MarketSnapshot.Focus shown = focus;
    long span = choice().minutes().get() * DayTime.MINUTE;
    long minute = timeAt(pointer) / span * span;
    MinuteBar found =
        shown == null
            ? null
            : bars.stream().filter(b -> b.start() == minute).findFirst().orElse(null);
    if (found == null) {
      return DayTime.minutes(minute) + "  no print";
    }
    return DayTime.minutes(minute)
        + words(found.open(), found.high(), found.low(), found.close(), found.volume());
  }

  private void legend(GraphicsContext g) {
    if (pointerOnChart()) {
      return;
    }
    g.setFont(Theme.font(10));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
    g.setFill(theme().colour(Tone.INK));
    g.fillText(choice().minutes().get() + " min", 6, 4);
    g.setFill(theme().colour(Tone.ACCENT));
    g.fillText("VWAP", 46, 4);
    g.setFill(theme().colour(Tone.CATALYST));
    g.fillText("EMA 9", 80, 4);
  }
}
