package kelvo.desktop.chart;

import javafx.scene.canvas.GraphicsContext;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;

/** A line that is being drawn on a chart by hand, in its pixels. */
record DrawnLine(double x0, double y0, double x1, double y1) {
  private static final double HARDLY_MOVED = 4;

  /** With its end where the pointer is now. */
  DrawnLine to(double x, double y) {
    return new DrawnLine(x0, y0, x, y);
  }

  /** Whether it goes nowhere in time: no line, but a price. */
  boolean isPoint() {
    return Math.abs(x1 - x0) < HARDLY_MOVED;
  }

  void paint(GraphicsContext g, Theme theme) {
    g.setStroke(theme.colour(Tone.INK));
    g.setLineWidth(1.5);
    g.strokeLine(x0, y0, x1, y1);
    g.setLineWidth(1);
  }
}
