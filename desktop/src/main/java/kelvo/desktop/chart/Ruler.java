package kelvo.desktop.chart;

import java.util.Locale;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.chart.Measurement;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.field.Unit;

/** Two ends of a measurement on a chart, in its pixels. */
record Ruler(double x0, double y0, double x1, double y1) {
  private static final double LABEL_WIDTH = 190;
  private static final double LABEL_HEIGHT = 18;

  boolean isPoint() {
    return Math.abs(x1 - x0) < 3 && Math.abs(y1 - y0) < 3;
  }

  /** Draws the stretch with its size in words. */
  void paint(GraphicsContext g, Theme theme, Measurement measured, double plotWidth) {
    g.setGlobalAlpha(0.35);
    g.setFill(theme.colour(Tone.SELECTION));
    g.fillRect(Math.min(x0, x1), Math.min(y0, y1), Math.abs(x1 - x0), Math.abs(y1 - y0));
    g.setGlobalAlpha(1);
    g.setStroke(theme.colour(Tone.ACCENT));
    g.strokeLine(x0, y0, x1, y1);
    String words =
        String.format(
            Locale.ROOT,
            "%+.2f  %s  %s  %s shares",
            measured.dollars(),
            Numbers.percent(measured.percent()),
            measured.length(),
            Unit.SHARES.text(measured.shares()));
    double left = Math.clamp(x1 + 6, 0, Math.max(0, plotWidth - LABEL_WIDTH));
    g.setFill(theme.colour(Tone.CARD));
    g.fillRect(left, y1 - LABEL_HEIGHT - 2, LABEL_WIDTH, LABEL_HEIGHT);
    g.setStroke(theme.colour(Tone.LINES));
    g.strokeRect(left, y1 - LABEL_HEIGHT - 2, LABEL_WIDTH, LABEL_HEIGHT);
    g.setFill(theme.colour(Tone.INK));
    g.setFont(Theme.condensed(12));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(words, left + 5, y1 - LABEL_HEIGHT / 2 - 2);
  }
}
