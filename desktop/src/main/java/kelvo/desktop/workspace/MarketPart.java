package kelvo.desktop.workspace;

import java.util.function.Consumer;
import javafx.scene.Node;

/**
 * A part about the market as a whole.
 *
 * @param node what stands in the window
 * @param seen hears whether it is seen, and follows the market only then
 */
public record MarketPart(Node node, Consumer<Boolean> seen) implements SymbolPart {
  @Override
  public void show(String symbol) {
    seen.accept(true);
  }

  @Override
  public void hide() {
    seen.accept(false);
  }
}
