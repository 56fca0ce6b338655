package kelvo.desktop.shell;

import java.util.Arrays;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;

/**
 * What a window showed when it was closed, and where it stood.
 *
 * @param stage the title of the stage in front; empty when it is not known
 * @param scan the name of the scan that was listed; empty when it is not known
 * @param speed times the speed of the day at which it would play; 0 when it is not known
 * @param sentAway the stages on which the line of the next step was sent away, by their titles
 * @param x of its upper left corner on the screens, pixels; NaN when it is not known
 * @param y likewise
 */
record LastLook(String stage, String scan, double speed, Set<String> sentAway, double x, double y) {
  /** Nothing is known. */
  static final LastLook NONE = new LastLook("", "", 0, Set.of(), Double.NaN, Double.NaN);

  /** How much of the window's title must be on a screen, so that it can be taken hold of. */
  private static final double GRASP = 80;

  /** What was kept; what is no sensible value is as if it was not known. */
  static LastLook from(Properties kept) {
    return new LastLook(
        kept.getProperty("stage", ""),
        kept.getProperty("scan", ""),
        Math.max(0, number(kept, "speed", 0)),
        words(kept.getProperty("sentAway", "")),
        number(kept, "x", Double.NaN),
        number(kept, "y", Double.NaN));
  }

  private static Set<String> words(String list) {
    return Arrays.stream(list.split(","))
        .filter(word -> !word.isBlank())
        .collect(Collectors.toUnmodifiableSet());
  }

  private static double number(Properties kept, String name, double otherwise) {
    try {
      double number = Double.parseDouble(kept.getProperty(name, Double.toString(otherwise)));
      return Double.isFinite(number) ? number : otherwise;
    } catch (NumberFormatException e) {
      return otherwise;
    }
  }

  void into(Properties kept) {
    kept.setProperty("stage", stage);
    kept.setProperty("scan", scan);
    kept.setProperty("speed", Double.toString(speed));
    kept.setProperty("sentAway", String.join(",", new TreeSet<>(sentAway)));
    if (!Double.isNaN(x) && !Double.isNaN(y)) {
      kept.setProperty("x", Double.toString(x));
      kept.setProperty("y", Double.toString(y));
    }
  }

  /** Whether its place is on a screen that there is. */
  boolean isOnAScreen() {
    Rectangle2D title = new Rectangle2D(x, y, GRASP, GRASP / 4);
    return !Double.isNaN(x)
        && !Double.isNaN(y)
        && Screen.getScreens().stream().anyMatch(s -> s.getVisualBounds().contains(title));
  }
}
