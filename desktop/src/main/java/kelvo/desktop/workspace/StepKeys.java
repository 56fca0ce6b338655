package kelvo.desktop.workspace;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** The keys that step through a recorded day: the square brackets, wherever a keyboard has them. */
public final class StepKeys {
  private StepKeys() {}

  /** 1 for a step on, -1 for one back; 0 for another key. */
  public static int way(KeyEvent event) {
    if (event.getText().equals("]") || event.getCode() == KeyCode.CLOSE_BRACKET) {
      return 1;
    }
    return event.getText().equals("[") || event.getCode() == KeyCode.OPEN_BRACKET ? -1 : 0;
  }
}
