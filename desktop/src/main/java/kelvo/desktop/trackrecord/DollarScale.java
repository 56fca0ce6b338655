package kelvo.desktop.trackrecord;

import java.util.stream.DoubleStream;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;

/** Dollars from the bottom of a picture to its top, with zero always in it. */
record DollarScale(double lowest, double highest) {
  /** Where the pictures begin, left of which the scale stands. */
  static final double LEFT = 58;

  private static final double TOP = 30;
  private static final double GAP = 6;

  /** How far apart words must be. */
  private static final double LINE = 12;

  /** The scale that holds some amounts. */
  static DollarScale of(DoubleStream amounts) {
    var all = amounts.summaryStatistics();
    return new DollarScale(Math.min(0, all.getMin()), Math.max(0, all.getMax()));
  }

  /**
   * Where an amount lies.
   *
   * @param bottom of the picture
   */
  double y(double dollars, double bottom) {
    double span = Math.max(1e-9, highest - lowest);
    return bottom - (bottom - TOP) * (dollars - lowest) / span;
  }

  /** Paints its ends, zero, and the line of zero. */
  void paint(GraphicsContext g, Theme look, double right, double bottom) {
    g.setTextAlign(TextAlignment.RIGHT);
    g.setFill(look.colour(Tone.FADED));
    g.fillText("0", LEFT - GAP, y(0, bottom));
    for (double end : new double[] {lowest, highest}) {
      if (Math.abs(y(end, bottom) - y(0, bottom)) >= LINE) {
        g.fillText(words(end), LEFT - GAP, y(end, bottom));
      }
    }
    g.setStroke(look.colour(Tone.HAIR));
    g.strokeLine(LEFT, y(0, bottom), right, y(0, bottom));
  }

  private static String words(double dollars) {
    return (dollars < 0 ? "-$" : "$") + Numbers.whole(Math.abs(Math.round(dollars)));
  }
}
