package kelvo.desktop.chart;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.chart.Block;
import kelvo.chart.GroupedBars;
import kelvo.chart.Measurement;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.field.Unit;
import kelvo.history.MinuteBar;
import kelvo.level.Level;
import kelvo.scan.Side;
import kelvo.session.ReferenceLevel;
import kelvo.state.Halts;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.trade.Fill;
import kelvo.view.MinutesView;
import org.jspecify.annotations.Nullable;

/**
 * The chart of the day: bars of 1, 5 or 15 minutes, VWAP, EMA 9, the levels that everybody looks at
 * and the trader's own, halts, and the hits and fills of the symbol in their places.
 */
public final class IntradayChart extends ChartCanvas {
  private static final double VOLUME_SHARE = 0.17;
  private static final int BARS = 75;

  /** A bar of three pixels and the room between two. */
  private static final double BAR_WIDTH = 5.5;

  private static final long MIN_ZOOMED = 10 * DayTime.MINUTE;
  private static final int ROOM_RIGHT = 3;
  private static final double TIME_APART = 56;
  private static final double HALF_A_PIXEL = 0.5;
  private static final double MARK_APART = 7;

  private final DrawnLevels drawnLevels;
  private LocalDate day = LocalDate.EPOCH;
  private long now;
  private long close = SessionHours.OPEN;
  private int barsDrawn;
  private int paintings;
  private List<MinuteBar> bars = List.of();
  private @Nullable Content content;

  /** Where a hit is drawn. */
  private record Mark(long at, long price, Side side) {}

  private record MarkPlace(long bar, Side side) {}

  /** What a painting shows of a symbol, the moment apart. */
  private record Content(
      String symbol,
      long price,
      double change,
      List<MinuteBar> minutes,
      List<ReferenceLevel> references,
      List<Mark> hits,
      List<Halts.Halt> halts,
      List<Block> blocks,
      List<Level> levels,
      List<Fill> fills) {
    static Content of(MinutesView.DayOfMinutes symbol, List<Level> levels, List<Fill> fills) {
      return new Content(
          symbol.symbol(),
          symbol.price(),
          symbol.change(),
          symbol.minutes(),
          symbol.references(),
          symbol.hits().stream().map(h -> new Mark(h.at(), h.price(), h.side())).toList(),
          symbol.halts(),
          symbol.blocks(),
          levels,
          fills);
    }
  }

  /** An empty chart. */
  public IntradayChart(ChartChoice choice, DrawnLevels drawnLevels) {
    super("Intraday chart", choice, MIN_ZOOMED);
    this.drawnLevels = drawnLevels;
    choice.minutes().addListener((o, was, is) -> group());
    choice.extended().addListener((o, was, is) -> group());
  }

  private void group() {
    Content shown = content;
    boolean all = choice().extended().get();
    bars =
        shown == null
            ? List.of()
            : GroupedBars.of(
                shown.minutes(),
                choice().minutes().get(),
                at -> all || (at >= SessionHours.OPEN && at < close));
    paint();
  }

  /**
   * Shows the day of a symbol; painted again only when something on the chart changed, the moment
   * by half a pixel at least.
   */
  public void show(
      MinutesView.@Nullable DayOfMinutes symbol,
      List<Level> standing,
      List<Fill> done,
      LocalDate date,
      long closes) {
    long moment = symbol == null ? now : symbol.moment();
    Content newest = symbol == null ? null : Content.of(symbol, standing, done);
    if (newest == null || content == null || !newest.symbol().equals(content.symbol())) {
      letGo();
    }
    boolean same =
        newest != null
            && newest.equals(content)
            && Math.abs(span().pixels(moment - now)) < HALF_A_PIXEL;
    if (same) {
      return;
    }
    content = newest;
    day = date;
    close = closes;
    now = moment;
    group();
  }

  /** How many bars the last painting drew. */
  public int barsDrawn() {
    return barsDrawn;
  }

  /** How often it has been painted. */
  public int paintings() {
    return paintings;
  }

  @Override
  String symbol() {
    Content shown = content;
    return shown == null ? "" : shown.symbol();
  }

  @Override
  PointedAt pointedAt(double x, double price) {
    return new PointedAt(symbol(), price, day, timeAt(x));
  }

  @Override
  double x(PointedAt pointed) {
    return pointed.moment() != PointedAt.WHOLE_DAY && pointed.date().equals(day)
        ? x(pointed.moment())
        : Double.NaN;
  }

  @Override
  void drawn(DrawnLine line, Axis on) {
    long first = Price.of(on.value(line.y0()));
    if (line.isPoint() && first > 0) {
      drawnLevels.level(symbol(), first);
    } else if (!line.isPoint()) {
      drawnLevels.trendLine(
          symbol(), timeAt(line.x0()), first, timeAt(line.x1()), Price.of(on.value(line.y1())));
    }
  }

  /** Price, per cent, time and shares traded. */
  @Override
  Measurement measured(double x0, double x1, double price0, double price1) {
    Content shown = content;
    List<MinuteBar> minutes = shown == null ? List.of() : shown.minutes();
    return Measurement.ofMinutes(minutes, timeAt(x0), timeAt(x1), price0, price1);
  }

  private long timeAt(double x) {
    return (long) span().at(x);
  }

  /** Puts a moment in the middle. */
  public void centre(long moment) {
    span().centre(moment);
    paint();
  }

  private double x(long moment) {
    return span().x(moment);
  }

  @Override
  void paint(GraphicsContext g) {
    paintings++;
    barsDrawn = 0;
    Content shown = content;
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
    layTime();
    double plot = plotHeight();
    List<MinuteBar> seen = seen();
    Axis axis = axis(seen, plot * (1 - VOLUME_SHARE));
    hours(g, plot);
    AxisLabels labels = scale(g, axis);
    halts(g, shown.halts(), plot);
    volume(g, seen, plot);
    bars(g, axis, seen);
    averages(g, axis, seen);
    levels(new LevelLines(g, theme(), axis, plotWidth(), labels), axis, shown);
    marks(g, axis, plot, shown);
    labels.price(
        axis.y(Price.dollars(shown.price())),
        Price.text(shown.price()),
        Tone.ofChange(shown.change()));
    labels.paint(g, theme());
    strip().paint(g, theme(), shown.minutes(), span(), SCALE_WIDTH);
    hand(g, axis);
  }

  private DayStrip strip() {
    return new DayStrip(
        getHeight() - DayStrip.HEIGHT,
        DayStrip.HEIGHT,
        plotWidth(),
        DayTime.FIRST,
        Math.max(now, DayTime.FIRST + DayTime.HOUR));
  }

  @Override
  double stripHeight() {
    return DayStrip.HEIGHT;
  }

  @Override
  double atOnStrip(double x) {
    return strip().at(x);
  }

  private void layTime() {
    long last = Math.min(now, choice().extended().get() ? now : close);
    long fitting = (long) Math.max(BARS, plotWidth() / BAR_WIDTH);
    long end = last + ROOM_RIGHT * barLength();
    span().lay(DayTime.FIRST, DayTime.LAST, end - fitting * barLength(), end, plotWidth());
  }

  /** The bars in the stretch that is shown; the nearest one when there is none. */
  private List<MinuteBar> seen() {
    List<MinuteBar> seen =
        bars.stream()
            .filter(b -> b.start() + barLength() > span().from() && b.start() < span().to())
            .toList();
    return seen.isEmpty() ? List.of(bars.getLast()) : seen;
  }

  private long barLength() {
    return choice().minutes().get() * DayTime.MINUTE;
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
    g.setFont(Theme.condensed(11));
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    double open = x(SessionHours.OPEN);
    if (open > 0) {
      g.setFill(theme().colour(Tone.WASH));
      g.fillRect(0, 0, Math.min(open, plotWidth()), plot);
    }
    long step = hourStep();
    for (long at = ((long) span().from() / step + 1) * step; x(at) < plotWidth() - 14; at += step) {
      g.setStroke(theme().colour(Tone.HAIR));
      g.strokeLine(Math.round(x(at)) + 0.5, 0, Math.round(x(at)) + 0.5, plot);
      g.setFill(theme().colour(Tone.FADED));
      g.fillText(DayTime.minutes(at), x(at), plot + TIME_HEIGHT / 2);
    }
  }

  private long hourStep() {
    for (long minutes : new long[] {5, 15, 30}) {
      if (span().pixels(minutes * DayTime.MINUTE) >= TIME_APART) {
        return minutes * DayTime.MINUTE;
      }
    }
    return DayTime.HOUR;
  }

  private void halts(GraphicsContext g, List<Halts.Halt> halts, double plot) {
    for (Halts.Halt halt : halts) {
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
    double width = Math.max(1, span().pixels(barLength()) - 1);
    g.setFill(theme().colour(Tone.FADED).deriveColor(0, 1, 1, 0.55));
    for (MinuteBar bar : bars) {
      double height = bar.volume() / (double) Math.max(1, most) * plot * VOLUME_SHARE;
      g.fillRect(x(bar.start()), plot - height, width, height);
    }
  }

  private void bars(GraphicsContext g, Axis axis, List<MinuteBar> bars) {
    double width = Math.min(14, Math.max(1, span().pixels(barLength()) * 0.7));
    for (MinuteBar bar : bars) {
      bar(g, axis, x(bar.start()), width, bar.open(), bar.high(), bar.low(), bar.close());
      barsDrawn++;
    }
  }

  private void averages(GraphicsContext g, Axis axis, List<MinuteBar> bars) {
    double[] xs = bars.stream().mapToDouble(b -> x(b.start() + barLength() / 2)).toArray();
    line(g, axis, xs, bars.stream().mapToDouble(MinuteBar::ema9).toArray(), Tone.FADED, 1.2);
    double[] vwaps = bars.stream().mapToDouble(MinuteBar::vwap).toArray();
    // It is anchored anew at the open: a line between the two would be a price that never was.
    for (int i = 1; i < vwaps.length; i++) {
      if (bars.get(i).start() >= SessionHours.OPEN && bars.get(i - 1).start() < SessionHours.OPEN) {
        vwaps[i - 1] = Double.NaN;
      }
    }
    line(g, axis, xs, vwaps, Tone.ACCENT, 1.8);
  }

  private void levels(LevelLines lines, Axis axis, Content shown) {
    for (ReferenceLevel reference : shown.references()) {
      lines.level(Price.dollars(reference.price()), reference.shortWords(), Tone.FADED);
    }
    for (Level level : shown.levels()) {
      double price = Price.dollars(level.priceAt(now));
      if (level.rise() == 0) {
        lines.level(price, level.words(now), Tone.INK);
      } else {
        double from = axis.y(Price.dollars(level.priceAt(timeAt(0))));
        double to = axis.y(Price.dollars(level.priceAt(timeAt(plotWidth()))));
        lines.slanted(from, to, level.words(now));
      }
    }
  }

  /** None beyond the plot, where the scale is: a chart may stand at an earlier moment. */
  private void marks(GraphicsContext g, Axis axis, double plot, Content shown) {
    g.save();
    g.beginPath();
    g.rect(0, 0, plotWidth(), plot);
    g.clip();
    hits(g, axis, shown.hits());
    blocks(g, axis, shown.blocks());
    fills(g, axis, shown.fills());
    g.restore();
  }

  /** One mark a bar and side, with how many hits there were. */
  private void hits(GraphicsContext g, Axis axis, List<Mark> hits) {
    Map<MarkPlace, Integer> counts = new LinkedHashMap<>();
    for (Mark hit : hits) {
      counts.merge(
          new MarkPlace(hit.at() / barLength() * barLength(), hit.side()), 1, Integer::sum);
    }
    g.setFill(theme().colour(Tone.ACCENT));
    g.setFont(Theme.condensed(11));
    g.setTextBaseline(VPos.CENTER);
    g.setTextAlign(TextAlignment.LEFT);
    for (MinuteBar bar : bars) {
      for (Side side : Side.values()) {
        Integer count = counts.get(new MarkPlace(bar.start(), side));
        if (count != null) {
          mark(g, axis, bar, side, count);
        }
      }
    }
  }

  private void mark(GraphicsContext g, Axis axis, MinuteBar bar, Side side, int count) {
    double x = x(bar.start() + barLength() / 2);
    double way = side.direction() < 0 ? -1 : 1;
    double y = axis.y(Price.dollars(way > 0 ? bar.low() : bar.high())) + way * MARK_APART;
    g.fillPolygon(
        new double[] {x - 3.5, x + 3.5, x},
        new double[] {y + way * 4, y + way * 4, y - way * 2},
        3);
    if (count > 1 && span().pixels(barLength()) >= MARK_APART) {
      g.fillText(Integer.toString(count), x - 3, y + way * 11);
    }
  }

  /** A ring at the price and time of each print of much money, larger for more. */
  private void blocks(GraphicsContext g, Axis axis, List<Block> blocks) {
    double most = blocks.stream().mapToDouble(Block::dollars).max().orElse(1);
    g.setStroke(theme().colour(Tone.INK));
    for (Block block : blocks) {
      double radius = 3 + 5 * Math.sqrt(block.dollars() / most);
      double at = x(block.at());
      double y = axis.y(Price.dollars(block.price()));
      g.strokeOval(at - radius, y - radius, 2 * radius, 2 * radius);
    }
  }

  private String blocksOf(long bar) {
    Content shown = content;
    return shown == null
        ? ""
        : shown.blocks().stream()
            .filter(block -> block.at() / barLength() * barLength() == bar)
            .map(
                block ->
                    "  ○ " + Unit.SHARES.text(block.shares()) + " at " + Price.text(block.price()))
            .collect(Collectors.joining());
  }

  private void fills(GraphicsContext g, Axis axis, List<Fill> fills) {
    g.setFont(Theme.strongFont(10));
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    for (Fill fill : fills) {
      double at = x(fill.at());
      double y = axis.y(fill.price().doubleValue());
      g.setFill(theme().colour(Tone.INK));
      g.fillOval(at - 7, y - 7, 14, 14);
      g.setFill(theme().colour(Tone.CARD));
      g.fillText(fill.side().word().substring(0, 1).toUpperCase(java.util.Locale.ROOT), at, y);
    }
  }

  @Override
  String describe(double pointer) {
    long bar = timeAt(pointer) / barLength() * barLength();
    return bars.stream()
        .filter(b -> b.start() == bar)
        .findFirst()
        .map(b -> words(b.open(), b.high(), b.low(), b.close(), b.volume()))
        .map(words -> DayTime.minutes(bar) + words + blocksOf(bar))
        .orElse(DayTime.minutes(bar) + "  no print");
  }
}
