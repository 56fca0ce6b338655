package kelvo.desktop.theme;

import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import kelvo.chart.Spark;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/** A day so far as a small line, with the time before the open shaded. */
public final class SparkLine {
  private SparkLine() {}

  /** Paints it from 04:00 to a moment into a box. */
  public static void paint(
      GraphicsContext g, Theme theme, Spark spark, long until, Tone tone, Rectangle2D box) {
    int points = spark.closes().length;
    if (points == 0) {
      return;
    }
    double span = Math.max(DayTime.HOUR, until - DayTime.FIRST);
    if (until > SessionHours.OPEN) {
      g.setFill(theme.colour(Tone.WASH));
      double open = (SessionHours.OPEN - DayTime.FIRST) / span * box.getWidth();
      g.fillRect(box.getMinX(), box.getMinY(), open, box.getHeight());
    }
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double close : spark.closes()) {
      low = Math.min(low, close);
      high = Math.max(high, close);
    }
    double range = high > low ? high - low : 1;
    g.setStroke(theme.colour(tone));
    g.beginPath();
    for (int i = 0; i < points; i++) {
      double x = box.getMinX() + (spark.starts()[i] - DayTime.FIRST) / span * box.getWidth();
      double y = box.getMaxY() - (spark.closes()[i] - low) / range * box.getHeight();
      if (i == 0) {
        g.moveTo(x, y);
      } else {
        g.lineTo(x, y);
      }
    }
    g.stroke();
  }
}
