package kelvo.desktop.shell;

import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import kelvo.desktop.workspace.Workspace;
import org.kordamp.ikonli.javafx.FontIcon;

/** Says in the header whether alerts sound, and changes it. */
final class SoundState extends Button {
  private final FontIcon icon = new FontIcon();
  private final Tooltip help = new Tooltip();

  SoundState(Workspace workspace) {
    getStyleClass().setAll("button", "small-button");
    setId("sound-state");
    setGraphic(icon);
    setFocusTraversable(false);
    setTooltip(help);
    setOnAction(e -> workspace.alerts().mute());
    workspace.alerts().sound().addListener((o, was, is) -> show(is));
    show(workspace.alerts().sound().get());
  }

  private void show(boolean sounds) {
    icon.setIconLiteral(sounds ? "fth-volume-2" : "fth-volume-x");
    setText(sounds ? "" : "muted");
    help.setText(
        sounds
            ? "Alerts sound; a click, or M on Live, mutes them"
            : "No alert sounds; a click, or M on Live, lets them sound");
    setAccessibleText(help.getText());
  }
}
