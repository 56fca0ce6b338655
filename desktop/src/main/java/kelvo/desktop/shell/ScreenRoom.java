package kelvo.desktop.shell;

import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;

/**
 * Where a window goes so that all of it can be seen: the part of its screen that no panel of the
 * desktop covers. Used on the window's thread.
 */
final class ScreenRoom {
  private ScreenRoom() {}

  /** Makes a window that is shown no larger than its screen, and moves it onto it. */
  static void fit(Stage stage) {
    Rectangle2D window =
        new Rectangle2D(stage.getX(), stage.getY(), stage.getWidth(), stage.getHeight());
    Rectangle2D fitting = within(screenOf(window), window);
    if (!fitting.equals(window)) {
      stage.setX(fitting.getMinX());
      stage.setY(fitting.getMinY());
      stage.setWidth(fitting.getWidth());
      stage.setHeight(fitting.getHeight());
    }
  }

  /** The screen on which a window's upper left corner lies; otherwise the first. */
  private static Rectangle2D screenOf(Rectangle2D window) {
    return Screen.getScreensForRectangle(window.getMinX(), window.getMinY(), 1, 1).stream()
        .findFirst()
        .orElse(Screen.getPrimary())
        .getVisualBounds();
  }

  /** A window that lies in the room: moved where that is enough, otherwise made smaller as well. */
  static Rectangle2D within(Rectangle2D room, Rectangle2D window) {
    double width = Math.min(window.getWidth(), room.getWidth());
    double height = Math.min(window.getHeight(), room.getHeight());
    return new Rectangle2D(
        Math.clamp(window.getMinX(), room.getMinX(), room.getMaxX() - width),
        Math.clamp(window.getMinY(), room.getMinY(), room.getMaxY() - height),
        width,
        height);
  }
}
