package kelvo.desktop.chart;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import org.jspecify.annotations.Nullable;

/** What the charts of a window share: the bars' length, the hours shown, the crosshair. */
public final class ChartChoice {
  private final IntegerProperty minutes = new SimpleIntegerProperty(1);
  private final BooleanProperty extended = new SimpleBooleanProperty(true);
  private final BooleanProperty drawing = new SimpleBooleanProperty(false);
  private final ObjectProperty<@Nullable PointedAt> pointed;

  /**
   * Choices of one window.
   *
   * @param pointed the crosshair of all windows
   */
  public ChartChoice(ObjectProperty<@Nullable PointedAt> pointed) {
    this.pointed = pointed;
  }

  /** Minutes a bar of the intraday chart: 1, 5 or 15. */
  public IntegerProperty minutes() {
    return minutes;
  }

  /** Whether hours outside the regular session are drawn. */
  public BooleanProperty extended() {
    return extended;
  }

  /** Whether a press on a chart begins a level or a trend line. */
  public BooleanProperty drawing() {
    return drawing;
  }

  /** Where the pointer is on any chart of any window; null when it is on none. */
  ObjectProperty<@Nullable PointedAt> pointed() {
    return pointed;
  }
}
