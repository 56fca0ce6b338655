package kelvo.desktop.practice;

import java.util.List;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Painted;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.practice.BlindBars;
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
  private static final int TIMES = 5;
  private static final double TIME_WIDTH = 48;

  /** How high the name of a line is, which stands below it at the top of the chart. */
  private static final double NAME = 14;

  private BlindBars blind = BlindBars.NONE;
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
   * @param some no more than is to be seen
   * @param asked the moment of the question; what comes after it stands apart
   */
  void show(BlindBars some, long asked) {
    blind = some;
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
    if (blind.bars().isEmpty()) {
      g.setFill(look.colour(Tone.FADED));
      g.fillText("No minutes before this moment.", 8, 14);
      return;
    }
    double out = blind.percent(stop);
    double low = Double.isNaN(out) ? blind.low() : Math.min(blind.low(), out);
    double high = Double.isNaN(out) ? blind.high() : Math.max(blind.high(), out);
    double height = getHeight() - FOOT - TOP;
    PercentScale scale = PercentScale.of(low, high, TOP, height * (1 - VOLUME));
    g.setFill(look.colour(Tone.FADED));
    g.setStroke(look.colour(Tone.HAIR));
    for (double percent : scale.lines()) {
      double y = scale.y(percent);
      g.strokeLine(0, y, getWidth() - RIGHT, y);
      g.fillText(scale.words(percent), getWidth() - RIGHT + 6, y);
    }
    candles(g, look, scale, height);
    line(g, look, scale, blind.percent(entry), Tone.ACCENT, "in");
    line(g, look, scale, out, Tone.BAD, "stop");
  }

  private double step() {
    return (getWidth() - RIGHT) / Math.max(ROOM, blind.bars().size());
  }

  private void candles(GraphicsContext g, Theme look, PercentScale scale, double height) {
    double step = step();
    List<BlindBars.Bar> bars = blind.bars();
    long most = bars.stream().mapToLong(BlindBars.Bar::volume).max().orElse(1);
    int every = (int) Math.max(Math.ceil(TIME_WIDTH / step), bars.size() / TIMES);
    for (int i = 0; i < bars.size(); i++) {
      BlindBars.Bar bar = bars.get(i);
      double x = (i + 0.5) * step;
      boolean after = bar.start() >= moment;
      if (after && (i == 0 || bars.get(i - 1).start() < moment)) {
        g.setFill(look.colour(Tone.WASH));
        g.fillRect(i * step, TOP, getWidth() - RIGHT - i * step, height);
      }
      Tone tone = bar.close() >= bar.open() ? Tone.UP : Tone.DOWN;
      g.setStroke(look.colour(tone));
      g.setFill(look.colour(tone));
      g.strokeLine(x, scale.y(bar.high()), x, scale.y(bar.low()));
      double top = scale.y(Math.max(bar.open(), bar.close()));
      double bottom = scale.y(Math.min(bar.open(), bar.close()));
      double width = Math.max(1, step * 0.6);
      g.fillRect(x - width / 2, top, width, Math.max(1, bottom - top));
      g.setFill(look.colour(Tone.FADED));
      double volume = VOLUME * 0.9 * height * bar.volume() / most;
      g.fillRect(x - width / 2, TOP + height - volume, width, volume);
      if (i % every == Math.min(every, bars.size()) / 2) {
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText(DayTime.minutes(bar.start()), x, getHeight() - FOOT / 2);
        g.setTextAlign(TextAlignment.LEFT);
      }
    }
  }

  private void line(
      GraphicsContext g, Theme look, PercentScale scale, double percent, Tone tone, String name) {
    if (Double.isNaN(percent)) {
      return;
    }
    double y = scale.y(percent);
    g.setStroke(look.colour(tone));
    g.strokeLine(0, y, getWidth() - RIGHT, y);
    double middle = y < TOP + NAME ? y + NAME / 2 : y - NAME / 2;
    // Candles may lie behind it.
    g.setFill(look.colour(Tone.CARD));
    g.fillRect(4, middle - NAME / 2, TextWidth.of(name, g.getFont()) + 4, NAME - 1);
    g.setFill(look.colour(tone));
    g.fillText(name, 6, middle);
  }
}
