package kelvo.desktop.chart;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleIntegerProperty;

/**
 * What the charts of a focus side share: the bars' length, the hours shown, the crosshair's price.
 */
public final class ChartChoice {
  private final IntegerProperty minutes = new SimpleIntegerProperty(1);
  private final BooleanProperty extended = new SimpleBooleanProperty(true);
  private final BooleanProperty drawing = new SimpleBooleanProperty(false);
  private final DoubleProperty pointedPrice = new SimpleDoubleProperty(Double.NaN);

  /** Minutes a bar of the intraday chart: 1, 5 or 15. */
  public IntegerProperty minutes() {
    return minutes;
  }

  /** Whether hours outside the regular session are drawn. */
  public BooleanProperty extended() {
    return extended;
  }

  /** Whether a press on the intraday chart begins a level or a trend line. */
  public BooleanProperty drawing() {
    return drawing;
  }

  /** The price under the pointer on any of the charts, dollars; NaN when it is on none. */
  public DoubleProperty pointedPrice() {
    return pointedPrice;
  }
}
