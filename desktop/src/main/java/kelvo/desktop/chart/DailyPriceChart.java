package kelvo.desktop.chart;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.market.DailyBar;
import kelvo.market.DailyChart;
import kelvo.market.Price;
import org.jspecify.annotations.Nullable;

/** Daily bars with today's running one and the 10, 50 and 200-day exponential averages. */
public final class DailyPriceChart extends ChartCanvas {
  private static final double BAR_WIDTH = 4;

  private @Nullable DailyChart chart;
  private int first;
  private int barsDrawn;
  private @Nullable Axis drawn;

  /** An empty chart. */
  public DailyPriceChart(ChartChoice choice) {
    super("Daily chart", choice);
  }

  /** Shows a symbol's days; painted again only when they changed. */
  public void show(@Nullable DailyChart days) {
    boolean same = days != null && chart != null && days.bars().equals(chart.bars());
    chart = days;
    if (!same) {
      paint();
    }
  }

  @Override
  double priceAt(double y) {
    Axis last = drawn;
    return last == null ? Double.NaN : last.value(y);
  }

  /** How many bars the last painting drew. */
  public int barsDrawn() {
    return barsDrawn;
  }

  @Override
  void paint(GraphicsContext g) {
    barsDrawn = 0;
    DailyChart shown = chart;
    if (shown == null || shown.bars().isEmpty()) {
      message(g, "No daily bars.");
      return;
    }
    int count = Math.min(shown.bars().size(), (int) (plotWidth() / BAR_WIDTH) - 1);
    first = shown.bars().size() - count;
    double plot = getHeight() - TIME_HEIGHT;
    long low = Long.MAX_VALUE;
    long high = 0;
    for (DailyBar bar : shown.bars().subList(first, shown.bars().size())) {
      low = Math.min(low, bar.low());
      high = Math.max(high, bar.high());
    }
    Axis axis = Axis.of(Price.dollars(low), Price.dollars(high), 4, plot - 8);
    drawn = axis;
    scale(g, axis);
    months(g, shown, plot);
    double[] xs = new double[count];
    for (int i = 0; i < count; i++) {
      DailyBar bar = shown.bars().get(first + i);
      xs[i] = i * BAR_WIDTH + BAR_WIDTH / 2;
      bar(g, axis, i * BAR_WIDTH, BAR_WIDTH - 0.5, bar.open(), bar.high(), bar.low(), bar.close());
      barsDrawn++;
    }
    average(g, axis, xs, shown.ema10(), Tone.CATALYST, 1);
    average(g, axis, xs, shown.ema50(), Tone.ACCENT, 1.3);
    average(g, axis, xs, shown.ema200(), Tone.INK, 1.6);
    crosshair(g, axis, this::describe);
    legend(g);
  }

  private void months(GraphicsContext g, DailyChart shown, double plot) {
    g.setFont(Theme.font(10));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    g.setFill(theme().colour(Tone.FADED));
    for (int i = first + 1; i < shown.bars().size(); i++) {
      var date = shown.bars().get(i).date();
      double x = (i - first) * BAR_WIDTH;
      if (date.getMonth() != shown.bars().get(i - 1).date().getMonth() && x < plotWidth() - 30) {
        g.setStroke(theme().colour(Tone.LINES));
        g.strokeLine(x, 0, x, plot);
        g.fillText(
            date.getMonth()
                .getDisplayName(java.time.format.TextStyle.SHORT, java.util.Locale.ENGLISH),
            x + 2,
            plot + TIME_HEIGHT / 2);
      }
    }
  }

  private void average(
      GraphicsContext g, Axis axis, double[] xs, double[] values, Tone tone, double width) {
    double[] seen = java.util.Arrays.copyOfRange(values, first, first + xs.length);
    for (int i = 0; i < seen.length; i++) {
      seen[i] = seen[i] < axis.low() || seen[i] > axis.high() ? Double.NaN : seen[i];
    }
    line(g, axis, xs, seen, tone, width);
  }

  private String describe(double pointer) {
    DailyChart shown = chart;
    int index = first + (int) (pointer / BAR_WIDTH);
    if (shown == null || index >= shown.bars().size()) {
      return "";
    }
    DailyBar bar = shown.bars().get(index);
    return bar.date() + words(bar.open(), bar.high(), bar.low(), bar.close(), bar.volume());
  }

  private void legend(GraphicsContext g) {
    if (pointerOnChart()) {
      return;
    }
    g.setFont(Theme.font(10));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
    g.setFill(theme().colour(Tone.INK));
    g.fillText("days", 6, 4);
    g.setFill(theme().colour(Tone.CATALYST));
    g.fillText("EMA 10", 34, 4);
    g.setFill(theme().colour(Tone.ACCENT));
    g.fillText("50", 72, 4);
    g.setFill(theme().colour(Tone.INK));
    g.fillText("200", 90, 4);
  }
}
