package kelvo.desktop.theme;

import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/** A tooltip for what is painted by hand: it says what lies under the pointer. */
public final class PointedWords {
  private PointedWords() {}

  /**
   * Says what lies under the pointer of a node.
   *
   * @param words what that is; empty for nothing
   */
  public static void of(Node node, Function<MouseEvent, String> words) {
    Tooltip tooltip = new Tooltip();
    node.addEventHandler(
        MouseEvent.MOUSE_MOVED,
        e -> {
          String under = words.apply(e);
          if (under.isEmpty()) {
            Tooltip.uninstall(node, tooltip);
          } else if (!under.equals(tooltip.getText()) || !tooltip.isShowing()) {
            tooltip.setText(under);
            Tooltip.install(node, tooltip);
          }
        });
    node.addEventHandler(MouseEvent.MOUSE_EXITED, e -> Tooltip.uninstall(node, tooltip));
  }
}
