package kelvo.desktop.shell;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import kelvo.desktop.workspace.DayStage;
import kelvo.desktop.workspace.StageKey;

/** All keys of a stage and of the window. Stands over the window until any key is pressed. */
final class KeysPane extends VBox {
  private static final double WIDTH = 560;
  private static final double KEY_WIDTH = 76;
  private static final double DOES_WIDTH = 170;
  private static final int COLUMNS = 2;

  /** Those that work on every stage. */
  static final List<StageKey> EVERYWHERE =
      List.of(
          new StageKey("1 to 6", "the stages"),
          new StageKey("/", "find a symbol"),
          new StageKey("P", "play or pause"),
          new StageKey("[, ]", "a step back or on; its length is under Orders on paper"),
          new StageKey("O", "a part in its own window"),
          new StageKey("Ctrl+O", "another session"),
          new StageKey("Ctrl+Z", "undo"),
          new StageKey("Ctrl+,", "settings"),
          new StageKey("Ctrl+C", "copy the list"),
          new StageKey("Ctrl+E", "export the list"),
          new StageKey("Escape", "leave a field"),
          new StageKey("?", "these keys"));

  KeysPane() {
    super(8);
    getStyleClass().add("overlay");
    setMaxSize(WIDTH, USE_PREF_SIZE);
    setVisible(false);
    setManaged(false);
  }

  void open(DayStage stage) {
    getChildren().setAll(title(stage.kind().title()), table(stage.keys()));
    getChildren().addAll(title("Everywhere"), table(EVERYWHERE));
    setVisible(true);
    setManaged(true);
  }

  void close() {
    setVisible(false);
    setManaged(false);
  }

  private static Label title(String words) {
    Label title = new Label(words);
    title.getStyleClass().add("title");
    return title;
  }

  private static GridPane table(List<StageKey> keys) {
    GridPane table = new GridPane(8, 2);
    for (int i = 0; i < keys.size(); i++) {
      Label key = new Label(keys.get(i).key());
      key.getStyleClass().add("strong");
      key.setMinWidth(KEY_WIDTH);
      Label does = new Label(keys.get(i).does());
      does.getStyleClass().add("small");
      does.setMinWidth(DOES_WIDTH);
      table.add(key, i % COLUMNS * 2, i / COLUMNS);
      table.add(does, i % COLUMNS * 2 + 1, i / COLUMNS);
    }
    return table;
  }
}
