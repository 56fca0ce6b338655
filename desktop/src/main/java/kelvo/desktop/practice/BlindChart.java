package kelvo.desktop.practice;

import java.util.List;
import java.util.Locale;
import java.util.function.ToLongFunction;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.history.MinuteBar;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * Minute bars without a name, a date or a price: per cent from the first close, and the time of
 * day. What comes after the moment of the question is painted once it is told.
 */
final class BlindChart extends Painted {
  /** Fewer minutes leave room for those that come. */
  private static final int ROOM = 60;

  private static final double RIGHT = 56;
  private static final double FOOT = 20;
  private static final double TOP = 8;
  private static final double VOLUME = 0.18;
  private static final int LINES = 4;
  private static final int TIMES = 5;

  private List<MinuteBar> bars = List.of();
  private long moment;
  private double entry = Double.NaN;
  private double stop = Double.NaN;

  BlindChart(ObservableValue<Theme> theme) {
    super(theme);
    setId("blind-chart");
    setAccessibleText("Minutes of a security that is not named, in per cent from the first close");
  }

  /**
   * Shows other bars.
   *
   * @param some no more than is to be seen; the close of the first is 0%
   * @param asked the moment of the question
   */
  void show(List<MinuteBar> some, long asked) {
    bars = List.copyOf(some);
    moment = asked;
    entry = Double.NaN;
    stop = Double.NaN;
    repaint();
  }

  /** Marks where one would get in and where the stop is, dollars; NaN for none. */
  void mark(double in, double out) {
    entry = in;
    stop = out;
    repaint();
  }

  @Override
  protected void paint(GraphicsContext g, Theme look) {
    if (bars.isEmpty()) {
      g.setFill(look.colour(Tone.FADED));
      g.fillText("No minutes before this moment.", 8, 14);
      return;
    }
    double first = Price.dollars(bars.getFirst().close());
    double low = least(MinuteBar::low);
    double high = -least(bar -> -bar.high());
    low = Double.isNaN(stop) ? low : Math.min(low, stop);
    high = Double.isNaN(stop) ? high : Math.max(high, stop);
    double height = getHeight() - FOOT - TOP;
    Scale scale = new Scale(low, Math.max(high, low * 1.001), TOP, height * (1 - VOLUME));
    g.setFill(look.colour(Tone.FADED));
    g.setStroke(look.colour(Tone.HAIR));
    for (int line = 0; line <= LINES; line++) {
      double price = low + (high - low) * line / LINES;
      double y = scale.y(price);
      g.strokeLine(0, y, getWidth() - RIGHT, y);
      g.fillText(percent(price / first - 1), getWidth() - RIGHT + 6, y);
    }
    candles(g, look, scale, height);
    line(g, look, scale, entry, Tone.ACCENT, "in");
    line(g, look, scale, stop, Tone.BAD, "stop");
  }

  private double least(ToLongFunction<MinuteBar> price) {
    long least = bars.stream().mapToLong(price).min().orElse(0);
    return least / (double) Price.DOLLAR;
  }

  /** Where a price is painted. */
  private record Scale(double low, double high, double top, double height) {
    double y(double price) {
      return top + height * (high - price) / (high - low);
    }
  }

  private double step() {
    return (getWidth() - RIGHT) / Math.max(ROOM, bars.size());
  }

  private void candles(GraphicsContext g, Theme look, Scale scale, double height) {
    double step = step();
    long most = bars.stream().mapToLong(MinuteBar::volume).max().orElse(1);
    int every = Math.max(1, bars.size() / TIMES);
    for (int i = 0; i < bars.size(); i++) {
      MinuteBar bar = bars.get(i);
      double x = (i + 0.5) * step;
      boolean after = bar.start() >= moment;
      if (after && (i == 0 || bars.get(i - 1).start() < moment)) {
        g.setFill(look.colour(Tone.WASH));
        g.fillRect(i * step, TOP, getWidth() - RIGHT - i * step, height);
      }
      Tone tone = bar.close() >= bar.open() ? Tone.UP : Tone.DOWN;
      g.setStroke(look.colour(tone));
      g.setFill(look.colour(tone));
      g.strokeLine(x, scale.y(Price.dollars(bar.high())), x, scale.y(Price.dollars(bar.low())));
      double top = scale.y(Price.dollars(Math.max(bar.open(), bar.close())));
      double bottom = scale.y(Price.dollars(Math.min(bar.open(), bar.close())));
      double width = Math.max(1, step * 0.6);
      g.fillRect(x - width / 2, top, width, Math.max(1, bottom - top));
      g.setFill(look.colour(Tone.FADED));
      double volume = VOLUME * 0.9 * height * bar.volume() / most;
      g.fillRect(x - width / 2, TOP + height - volume, width, volume);
      if (i % every == every / 2) {
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText(DayTime.minutes(bar.start()), x, getHeight() - FOOT / 2);
        g.setTextAlign(TextAlignment.LEFT);
      }
    }
  }

  private void line(
      GraphicsContext g, Theme look, Scale scale, double price, Tone tone, String name) {
    if (Double.isNaN(price)) {
      return;
    }
    g.setStroke(look.colour(tone));
    g.strokeLine(0, scale.y(price), getWidth() - RIGHT, scale.y(price));
    g.setFill(look.colour(tone));
    g.fillText(name, 6, scale.y(price) - 7);
  }

  private static String percent(double part) {
    return String.format(Locale.ROOT, "%+.1f%%", 100 * part);
  }
}
