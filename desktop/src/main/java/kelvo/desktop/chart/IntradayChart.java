package kelvo.desktop.chart;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.engine.MarketSnapshot;
import kelvo.market.Halts;
import kelvo.market.MinuteBar;
import kelvo.market.Price;
import kelvo.scan.Hit;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.trade.Fill;
import kelvo.watch.Level;
import org.jspecify.annotations.Nullable;

/**
 * The 1-minute chart from 04:00 on: bars, VWAP, EMA 9, premarket high, levels, halts, and the hits
 * and fills of the symbol in their places.
 */
public final class IntradayChart extends ChartCanvas {
  private static final double VOLUME_SHARE = 0.17;
  private static final long LEAST_SPAN = 150 * DayTime.MINUTE;

  private MarketSnapshot.@Nullable Focus focus;
  private List<Level> levels = List.of();
  private List<Fill> fills = List.of();
  private long now;
  private int barsDrawn;
  private long start = DayTime.FIRST;
  private double pixelsPerNano;

  /** An empty chart. */
  public IntradayChart() {
    super("1-minute chart");
  }

  /** Shows a symbol at a moment. */
  public void show(
      MarketSnapshot.@Nullable Focus symbol, List<Level> standing, List<Fill> done, long moment) {
    focus = symbol;
    levels = standing;
    fills = done;
    now = moment;
    paint();
  }

  /** How many bars the last painting drew. */
  public int barsDrawn() {
    return barsDrawn;
  }

  private double x(long moment) {
    return (moment - start) * pixelsPerNano;
  }

  @Override
  void paint(GraphicsContext g) {
    barsDrawn = 0;
    MarketSnapshot.Focus shown = focus;
    if (shown == null || shown.minutes().isEmpty()) {
      message(
          g,
          shown == null
              ? "No symbol in focus: choose one in the list, or press / and type."
              : "No print that counts since 04:00.");
      return;
    }
    List<MinuteBar> bars = shown.minutes();
    long end = Math.max(now + 12 * DayTime.MINUTE, bars.getFirst().start() + LEAST_SPAN);
    start = Math.max(DayTime.FIRST, bars.getFirst().start() - 5 * DayTime.MINUTE);
    pixelsPerNano = plotWidth() / (end - start);
    double plot = getHeight() - TIME_HEIGHT;
    Axis axis = axis(bars, plot * (1 - VOLUME_SHARE));
    hours(g, plot);
    scale(g, axis);
    halts(g, shown.halts(), plot);
    volume(g, bars, plot);
    bars(g, axis, bars);
    averages(g, axis, bars);
    levels(g, axis, shown);
    hits(g, axis, shown.hits());
    fills(g, axis);
    tag(g, axis, Price.dollars(shown.price()), Tone.ofChange(shown.change()));
    crosshair(g, axis, this::describe);
    legend(g);
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
    double width = Math.max(1, DayTime.MINUTE * pixelsPerNano - 1);
    g.setFill(theme().colour(Tone.FADED).deriveColor(0, 1, 1, 0.55));
    for (MinuteBar bar : bars) {
      double height = bar.volume() / (double) Math.max(1, most) * plot * VOLUME_SHARE;
      g.fillRect(x(bar.start()), plot - height, width, height);
    }
  }

  private void bars(GraphicsContext g, Axis axis, List<MinuteBar> bars) {
    double width = Math.min(9, DayTime.MINUTE * pixelsPerNano * 0.8);
    for (MinuteBar bar : bars) {
      bar(g, axis, x(bar.start()), width, bar.open(), bar.high(), bar.low(), bar.close());
      barsDrawn++;
    }
  }

  private void averages(GraphicsContext g, Axis axis, List<MinuteBar> bars) {
    double[] xs = bars.stream().mapToDouble(b -> x(b.start() + DayTime.MINUTE / 2)).toArray();
    line(g, axis, xs, bars.stream().mapToDouble(MinuteBar::ema9).toArray(), Tone.CATALYST, 1.2);
    line(g, axis, xs, bars.stream().mapToDouble(MinuteBar::vwap).toArray(), Tone.ACCENT, 1.8);
  }

  private void levels(GraphicsContext g, Axis axis, MarketSnapshot.Focus shown) {
    if (shown.premarketHigh() != Price.NONE) {
      level(
          g,
          axis,
          Price.dollars(shown.premarketHigh()),
          "premarket high " + Price.text(shown.premarketHigh()),
          Tone.FADED);
    }
    for (Level level : levels) {
      level(
          g,
          axis,
          Price.dollars(level.price()),
          level.kind().words() + " " + Price.text(level.price()),
          Tone.INK);
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
    long minute = (long) (start + pointer / pixelsPerNano) / DayTime.MINUTE * DayTime.MINUTE;
    MinuteBar found =
        shown == null
            ? null
            : shown.minutes().stream().filter(b -> b.start() == minute).findFirst().orElse(null);
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
    g.fillText("1 min", 6, 4);
    g.setFill(theme().colour(Tone.ACCENT));
    g.fillText("VWAP", 40, 4);
    g.setFill(theme().colour(Tone.CATALYST));
    g.fillText("EMA 9", 74, 4);
  }
}
