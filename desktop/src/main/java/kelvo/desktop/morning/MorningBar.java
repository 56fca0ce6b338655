package kelvo.desktop.morning;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Predicate;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kelvo.desktop.workspace.Workspace;
import kelvo.scan.Scan;

/** The line over the morning's list: which scan, how many, and what stands above. */
final class MorningBar extends HBox {
  private static final double SCANS_WIDTH = 132;

  private final Workspace workspace;
  private final ComboBox<String> scans = new ComboBox<>();
  private final Label count = new Label();
  private final Map<Above, ToggleButton> buttons = new EnumMap<>(Above.class);
  private Predicate<Above> isAbove = above -> above == Above.FIELD;

  /**
   * The line of a window.
   *
   * @param put puts something above the list
   */
  MorningBar(Workspace workspace, Consumer<Above> put) {
    super(6);
    this.workspace = workspace;
    nameScans();
    workspace.desk().scans().addListener((ListChangeListener<Scan>) change -> nameScans());
    workspace.shownScan().addListener((o, was, is) -> scans.setValue(is.name()));
    scans.setFocusTraversable(false);
    scans.setAccessibleText("Scan");
    scans.setMinWidth(SCANS_WIDTH);
    scans.setOnAction(
        e ->
            workspace.scans().stream()
                .filter(s -> s.name().equals(scans.getValue()))
                .findFirst()
                .ifPresent(workspace.shownScan()::set));
    count.getStyleClass().addAll("faded", "small");
    count.setMinWidth(0);
    Region space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    getChildren().addAll(scans, count, space);
    for (Above above : Above.values()) {
      getChildren().add(button(above, put));
    }
    shows(isAbove);
    setAlignment(Pos.CENTER_LEFT);
    getStyleClass().addAll("card", "part", "divided", "divided-above");
  }

  private ToggleButton button(Above above, Consumer<Above> put) {
    ToggleButton button = new ToggleButton(above.words());
    button.getStyleClass().setAll("toggle-button", "small-button");
    button.setMinWidth(USE_PREF_SIZE);
    button.setFocusTraversable(false);
    button.setTooltip(new Tooltip(above.help()));
    button.setOnAction(
        e -> {
          put.accept(above);
          shows(isAbove);
        });
    buttons.put(above, button);
    return button;
  }

  private void nameScans() {
    scans.getItems().setAll(workspace.scans().stream().map(Scan::name).toList());
    scans.setValue(workspace.shownScan().get().name());
  }

  /** How many fit, in words. */
  void counts(String words) {
    count.setText(words);
  }

  /** Marks what stands above. */
  void shows(Predicate<Above> which) {
    isAbove = which;
    buttons.forEach((above, button) -> button.setSelected(which.test(above)));
  }
}
