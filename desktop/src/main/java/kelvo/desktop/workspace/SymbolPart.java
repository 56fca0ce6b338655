package kelvo.desktop.workspace;

import javafx.scene.Node;
import kelvo.desktop.theme.Theme;

/**
 * One of the parts that tell about a symbol, such as a chart or the newest prints; it stands on the
 * focus side or in a window of its own. It follows its view from {@link #show} to {@link #hide}
 * only. Only for the window's thread.
 */
public interface SymbolPart {
  /** What stands in the window. */
  Node node();

  /** Shows a symbol from now on; empty for none. */
  void show(String symbol);

  /** Is not seen any more, so it follows nothing. */
  void hide();

  /** Uses another theme, where the part paints its own colours. */
  default void theme(Theme theme) {}
}
