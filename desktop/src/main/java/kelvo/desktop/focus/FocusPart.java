package kelvo.desktop.focus;

import javafx.scene.Node;
import kelvo.desktop.theme.Theme;

/** One of the parts that tell about a symbol. Only for the window's thread. */
public interface FocusPart {
  /** What stands in the window. */
  Node node();

  /** Shows a symbol at a moment. */
  void show(ShownSymbol shown);

  /** Uses another theme, where the part paints its own colours. */
  default void theme(Theme theme) {}
}
