package kelvo.desktop.chart;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;

/** What the lines of a chart are, in their colours, in its upper left corner. */
final class Legend {
  private static final double LETTER_WIDTH = 5.6;
  private static final double APART = 8;

  private final GraphicsContext g;
  private final Theme theme;
  private double x = 6;

  Legend(GraphicsContext g, Theme theme) {
    this.g = g;
    this.theme = theme;
    g.setFont(Theme.condensed(11));
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.TOP);
  }

  Legend name(String words, Tone tone) {
    double width = words.length() * LETTER_WIDTH;
    g.setFill(theme.colour(Tone.CARD).deriveColor(0, 1, 1, 0.85));
    g.fillRect(x - 3, 2, width + APART, 15);
    g.setFill(theme.colour(tone));
    g.fillText(words, x, 4);
    x += width + APART;
    return this;
  }
}
