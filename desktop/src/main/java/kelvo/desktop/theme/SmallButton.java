package kelvo.desktop.theme;

import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;

/** Buttons of parts: small, never cut off, and out of the way of the keys. */
public final class SmallButton {
  private SmallButton() {}

  /**
   * A button with what it does in words, and more about it in a tooltip; an empty help has none.
   */
  public static Button of(String words, String help, Runnable action) {
    Button button = new Button(words);
    button.getStyleClass().setAll("button", "small-button");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setFocusTraversable(false);
    if (!help.isEmpty()) {
      button.setTooltip(new Tooltip(help));
    }
    button.setOnAction(e -> action.run());
    return button;
  }

  /** The same, but Tab leads to it: for what has no key of its own. */
  public static Button inTabOrder(String words, String help, Runnable action) {
    Button button = of(words, help, action);
    button.setFocusTraversable(true);
    return button;
  }
}
