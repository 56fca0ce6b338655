package kelvo.desktop.chart;

import javafx.scene.canvas.GraphicsContext;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;

/** The levels of one painting of a chart, named at the axis. */
final class LevelLines {
  private final GraphicsContext g;
  private final Theme theme;
  private final Axis axis;
  private final double width;
  private final AxisLabels labels;

  LevelLines(GraphicsContext g, Theme theme, Axis axis, double width, AxisLabels labels) {
    this.g = g;
    this.theme = theme;
    this.axis = axis;
    this.width = width;
    this.labels = labels;
  }

  /** A level across the chart. */
  void level(double dollars, String name, Tone tone) {
    double y = Math.round(axis.y(dollars)) + 0.5;
    if (y < axis.top() || y > axis.top() + axis.height()) {
      return;
    }
    g.setStroke(theme.colour(tone));
    g.setLineDashes(1, 4);
    g.strokeLine(0, y, width, y);
    g.setLineDashes();
    labels.level(y, name, tone);
  }

  /** A level that rises or falls across the chart, named where it leaves it. */
  void slanted(double left, double right, String name) {
    g.save();
    g.beginPath();
    g.rect(0, axis.top(), width, axis.height());
    g.clip();
    g.setStroke(theme.colour(Tone.INK));
    g.strokeLine(0, left, width, right);
    g.restore();
    labels.level(right, name, Tone.INK);
  }
}
