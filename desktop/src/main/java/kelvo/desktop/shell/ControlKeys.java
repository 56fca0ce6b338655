package kelvo.desktop.shell;

import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.input.KeyCode;
import org.jspecify.annotations.Nullable;

/**
 * Which keys belong to the control that has the focus and not to the stage. A button takes the
 * space bar only when Tab has led to it: one that was clicked leaves it to the stage.
 */
final class ControlKeys {
  private ControlKeys() {}

  /** Whether a key changes or presses what has the focus. */
  static boolean belongTo(@Nullable Node focused, KeyCode key) {
    return switch (focused) {
      case ComboBoxBase<?> choice ->
          choice.isShowing()
              || key == KeyCode.UP
              || key == KeyCode.DOWN
              || (key == KeyCode.SPACE && choice.isFocusVisible());
      case ButtonBase button ->
          (key == KeyCode.SPACE || key == KeyCode.ENTER)
              && button.isFocusTraversable()
              && button.isFocusVisible();
      case null, default -> false;
    };
  }
}
