package kelvo.desktop.universe;

import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Workspace;
import kelvo.universe.PastedSymbols;
import kelvo.universe.Universe;

/** Symbols that are in or out by hand, whatever the rules say. */
final class ByHandPane extends VBox {
  private final Workspace workspace;
  private final TextField pasted = new TextField();
  private final Consumer<UnaryOperator<Universe>> change;

  /**
   * A pane.
   *
   * @param change changes the universe that is shown
   */
  ByHandPane(Workspace workspace, Consumer<UnaryOperator<Universe>> change) {
    super(4);
    this.workspace = workspace;
    this.change = change;
    Label help =
        new Label("In or out whatever the rules say. A and X do it for the symbol in focus.");
    help.getStyleClass().addAll("faded", "small");
    pasted.setId("pasted-symbols");
    pasted.setPromptText("paste symbols from anywhere, or type one");
    pasted.setAccessibleText("Symbols to add or exclude by hand");
    HBox.setHgrow(pasted, Priority.ALWAYS);
    HBox line =
        new HBox(
            6,
            pasted,
            SmallButton.of(
                "Add", "In, whatever the rules say", () -> byHand((u, s) -> u.adding(s))),
            SmallButton.of(
                "Exclude", "Out, whatever the rules say", () -> byHand((u, s) -> u.excluding(s))),
            SmallButton.of(
                "Leave to the rules",
                "Nothing said by hand any more",
                () -> byHand((u, s) -> u.forgetting(s))));
    line.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(help, line);
  }

  /** What is said of symbols by hand. */
  @FunctionalInterface
  private interface Saying {
    Universe of(Universe universe, Set<String> symbols);
  }

  private void byHand(Saying saying) {
    PastedSymbols found =
        PastedSymbols.in(pasted.getText(), s -> workspace.session().numberOf(s).isPresent());
    change.accept(universe -> saying.of(universe, found.known()));
    pasted.clear();
    workspace
        .window()
        .action()
        .set(
            found.known().size()
                + " symbols by hand"
                + (found.others().isEmpty()
                    ? ""
                    : "; not listed: " + String.join(", ", found.others())));
  }
}
