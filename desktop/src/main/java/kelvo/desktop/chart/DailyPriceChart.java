package kelvo.desktop.chart;

import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.chart.DailyChart;
import kelvo.chart.DayScale;
import kelvo.chart.Measurement;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.history.DailyBar;
import kelvo.level.Level;
import kelvo.session.ReferenceLevel;
import kelvo.tape.Price;
import kelvo.view.DaysView;
import org.jspecify.annotations.Nullable;

/**
 * Daily bars with today's running one, the 10, 50 and 200-day exponential averages, the swing highs
 * overhead and the trader's own levels. Its unit of time is the place of a bar.
 */
public final class DailyPriceChart extends ChartCanvas {
  private static final double BAR_WIDTH = 5;
  private static final double MIN_DAYS = 10;

  private final DrawnLevels drawnLevels;
  private DaysView.@Nullable Days days;
  private List<DailyBar> bars = List.of();
  private List<ShownLevel> levels = List.of();
  private int barsDrawn;

  /**
   * A level as it is drawn.
   *
   * @param trend the level itself when it rises or falls; null for one that does not
   */
  private record ShownLevel(long price, String words, Tone tone, @Nullable Level trend) {}

  /** An empty chart. */
  public DailyPriceChart(ChartChoice choice, DrawnLevels drawnLevels) {
    super("Daily chart", choice, MIN_DAYS);
    this.drawnLevels = drawnLevels;
  }

  /** Shows a symbol's days at a moment; painted again only when something on them changed. */
  public void show(DaysView.@Nullable Days symbol, List<Level> standing, long moment) {
    boolean another = symbol == null || days == null || !symbol.symbol().equals(days.symbol());
    if (another) {
      letGo();
    }
    List<DailyBar> newest = symbol == null ? List.of() : symbol.chart().bars();
    List<ShownLevel> lines = symbol == null ? List.of() : lines(symbol, standing, moment);
    boolean same = !another && newest.equals(bars) && lines.equals(levels);
    days = symbol;
    bars = newest;
    levels = lines;
    if (!same) {
      paint();
    }
  }

  private static List<ShownLevel> lines(DaysView.Days symbol, List<Level> standing, long moment) {
    List<ShownLevel> lines = new ArrayList<>();
    for (ReferenceLevel reference : symbol.references()) {
      if (reference.name().equals(ReferenceLevel.SWING_HIGH)) {
        lines.add(new ShownLevel(reference.price(), reference.shortWords(), Tone.FADED, null));
      }
    }
    for (Level level : standing) {
      lines.add(
          new ShownLevel(
              level.priceAt(moment),
              level.words(moment),
              Tone.INK,
              level.rise() == 0 ? null : level));
    }
    return lines;
  }

  /** How many bars the last painting drew. */
  public int barsDrawn() {
    return barsDrawn;
  }

  @Override
  String symbol() {
    DaysView.Days shown = days;
    return shown == null ? "" : shown.symbol();
  }

  @Override
  @Nullable PointedAt pointedAt(double x, double price) {
    int place = placeAt(x);
    return place < 0 || place >= bars.size()
        ? null
        : new PointedAt(symbol(), price, bars.get(place).date(), PointedAt.WHOLE_DAY);
  }

  @Override
  double x(PointedAt pointed) {
    for (int place = bars.size() - 1; place >= 0; place--) {
      LocalDate date = bars.get(place).date();
      if (!date.isAfter(pointed.date())) {
        return date.equals(pointed.date()) ? span().x(place + 0.5) : Double.NaN;
      }
    }
    return Double.NaN;
  }

  private int placeAt(double x) {
    return (int) Math.floor(span().at(x));
  }

  @Override
  void drawn(DrawnLine line, Axis on) {
    DaysView.Days shown = days;
    long first = Price.of(on.value(line.y0()));
    if (shown == null || first <= 0) {
      return;
    }
    if (line.isPoint()) {
      drawnLevels.level(symbol(), first);
    } else {
      drawnLevels.trendLine(
          symbol(),
          shown.scale().momentAt(span().at(line.x0())),
          first,
          shown.scale().momentAt(span().at(line.x1())),
          Price.of(on.value(line.y1())));
    }
  }

  private void level(LevelLines lines, Axis axis, DayScale scale, ShownLevel level) {
    Level trend = level.trend();
    if (trend == null) {
      lines.level(Price.dollars(level.price()), level.words(), level.tone());
      return;
    }
    long left = trend.priceAt(scale.momentAt(span().at(0)));
    long right = trend.priceAt(scale.momentAt(span().at(plotWidth())));
    lines.slanted(axis.y(Price.dollars(left)), axis.y(Price.dollars(right)), level.words());
  }

  @Override
  Measurement measured(double x0, double x1, double price0, double price1) {
    return Measurement.ofDays(bars, placeAt(x0), placeAt(x1), price0, price1);
  }

  @Override
  void paint(GraphicsContext g) {
    barsDrawn = 0;
    DaysView.Days shown = days;
    if (shown == null || bars.isEmpty()) {
      message(g, "No daily bars.");
      return;
    }
    int end = bars.size();
    double fitting = Math.floor(plotWidth() / BAR_WIDTH);
    span().lay(0, end + 1, end + 1 - fitting, end + 1, plotWidth());
    int from = Math.clamp((int) span().from(), 0, end - 1);
    int to = Math.clamp((int) Math.ceil(span().to()), from + 1, end);
    List<DailyBar> seen = bars.subList(from, to);
    Axis axis = axis(seen);
    AxisLabels labels = scale(g, axis);
    months(g, from, to);
    double width = span().pixels(1);
    for (int place = from; place < to; place++) {
      DailyBar bar = bars.get(place);
      bar(
          g,
          axis,
          span().x(place),
          Math.min(width * 0.75, 14),
          bar.open(),
          bar.high(),
          bar.low(),
          bar.close());
      barsDrawn++;
    }
    averages(g, axis, shown.chart(), from, to);
    LevelLines lines = new LevelLines(g, theme(), axis, plotWidth(), labels);
    levels.forEach(level -> level(lines, axis, shown.scale(), level));
    DailyBar last = bars.getLast();
    labels.price(
        axis.y(Price.dollars(last.close())),
        Price.text(last.close()),
        bars.size() < 2
            ? Tone.INK
            : Tone.ofChange(last.close() - bars.get(bars.size() - 2).close()));
    labels.paint(g, theme());
    hand(g, axis);
    legend(g);
  }

  private Axis axis(List<DailyBar> seen) {
    long low = Long.MAX_VALUE;
    long high = 0;
    for (DailyBar bar : seen) {
      low = Math.min(low, bar.low());
      high = Math.max(high, bar.high());
    }
    return Axis.of(Price.dollars(low), Price.dollars(high), 4, plotHeight() - 8);
  }

  private void months(GraphicsContext g, int from, int to) {
    g.setFont(Theme.condensed(11));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    g.setFill(theme().colour(Tone.FADED));
    double free = 0;
    for (int place = Math.max(1, from); place < to; place++) {
      LocalDate date = bars.get(place).date();
      double x = span().x(place);
      if (date.getMonth() != bars.get(place - 1).date().getMonth() && x < plotWidth() - 30) {
        g.setStroke(theme().colour(Tone.HAIR));
        g.strokeLine(x, 0, x, plotHeight());
        if (x >= free) {
          g.fillText(month(date), x + 2, plotHeight() + TIME_HEIGHT / 2);
          free = x + 30;
        }
      }
    }
  }

  /** January says its year. */
  private static String month(LocalDate date) {
    return date.getMonthValue() == 1
        ? Integer.toString(date.getYear())
        : date.getMonth().getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
  }

  private void averages(GraphicsContext g, Axis axis, DailyChart days, int from, int to) {
    double[] xs = new double[to - from];
    for (int i = 0; i < xs.length; i++) {
      xs[i] = span().x(from + i + 0.5);
    }
    average(g, axis, xs, days.ema10(), from, Tone.FADED, 1);
    average(g, axis, xs, days.ema50(), from, Tone.ACCENT, 1.3);
    average(g, axis, xs, days.ema200(), from, Tone.INK, 1.6);
  }

  private void average(
      GraphicsContext g,
      Axis axis,
      double[] xs,
      double[] values,
      int from,
      Tone tone,
      double width) {
    double[] seen = java.util.Arrays.copyOfRange(values, from, from + xs.length);
    for (int i = 0; i < seen.length; i++) {
      seen[i] = seen[i] < axis.low() || seen[i] > axis.high() ? Double.NaN : seen[i];
    }
    line(g, axis, xs, seen, tone, width);
  }

  @Override
  String describe(double pointer) {
    int place = placeAt(pointer);
    if (place < 0 || place >= bars.size()) {
      return "";
    }
    DailyBar bar = bars.get(place);
    return bar.date() + words(bar.open(), bar.high(), bar.low(), bar.close(), bar.volume());
  }

  private void legend(GraphicsContext g) {
    if (!pointerOnChart()) {
      new Legend(g, theme())
          .name("days", Tone.INK)
          .name("EMA 10", Tone.FADED)
          .name("50", Tone.ACCENT)
          .name("200", Tone.INK);
    }
  }
}
