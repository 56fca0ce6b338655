package kelvo.desktop.chart;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.history.MinuteBar;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/** The whole day so far as a strip under its chart, with the stretch that the chart shows. */
record DayStrip(double top, double height, double width, long from, long to) {
  /** How high a strip is. */
  static final double HEIGHT = 26;

  /** The moment at a place on it. */
  double at(double x) {
    return from + x / width * (to - from);
  }

  private double x(double moment) {
    return (moment - from) / (to - from) * width;
  }

  void paint(
      GraphicsContext g, Theme theme, List<MinuteBar> bars, ChartSpan shown, double axisWidth) {
    g.setFill(theme.colour(Tone.WASH));
    g.fillRect(0, top, Math.clamp(x(SessionHours.OPEN), 0, width), height);
    g.setStroke(theme.colour(Tone.LINES));
    g.strokeLine(0, top + 0.5, width, top + 0.5);
    double left = Math.clamp(x(shown.from()), 0, width);
    double right = Math.clamp(x(shown.to()), left, width);
    g.setFill(theme.colour(Tone.SELECTION));
    g.fillRect(left, top + 1, right - left, height - 1);
    line(g, theme, bars);
    g.setStroke(theme.colour(Tone.ACCENT));
    g.strokeLine(left + 0.5, top + 1, left + 0.5, top + height);
    g.setFill(theme.colour(Tone.FADED));
    g.setFont(Theme.condensed(11));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(DayTime.minutes(from) + " on", width + 6, top + height / 2, axisWidth - 6);
  }

  private void line(GraphicsContext g, Theme theme, List<MinuteBar> bars) {
    long low = bars.stream().mapToLong(MinuteBar::close).min().orElse(0);
    long high = Math.max(low + 1, bars.stream().mapToLong(MinuteBar::close).max().orElse(1));
    g.setStroke(theme.colour(Tone.FADED));
    g.beginPath();
    for (int i = 0; i < bars.size(); i++) {
      double x = x(bars.get(i).start());
      double y =
          top + height - 4 - (bars.get(i).close() - low) / (double) (high - low) * (height - 8);
      if (i == 0) {
        g.moveTo(x, y);
      } else {
        g.lineTo(x, y);
      }
    }
    g.stroke();
  }
}
