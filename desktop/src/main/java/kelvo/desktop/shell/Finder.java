package kelvo.desktop.shell;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.tape.Price;
import kelvo.view.FindView;

/**
 * Finds a symbol as one types a part of it or of a name. Stands over the window while it is open.
 */
final class Finder extends VBox {
  /** Where the text is typed, for lookups. */
  static final String TEXT = "#finder";

  private static final double WIDTH = 440;
  private static final double LIST_HEIGHT = 26 * 11;

  private final Workspace workspace;
  private final TextField text = new TextField();
  private final Grid<FindView.Candidate> list =
      new Grid<>("Candidates", FindView.Candidate::symbol);
  private final Followed<List<FindView.Candidate>> followed;
  private final Runnable closed;

  /** Whether the list is of what stands in the field now. */
  private boolean answered;

  /**
   * A finder that is not open.
   *
   * @param closed gives the keys back
   */
  Finder(Workspace workspace, Runnable closed) {
    super(6);
    this.workspace = workspace;
    this.closed = closed;
    followed = new Followed<>(workspace.clock(), this::show);
    getStyleClass().add("overlay");
    setMaxSize(WIDTH, USE_PREF_SIZE);
    setAlignment(Pos.TOP_LEFT);
    text.setId(TEXT.substring(1));
    text.setPromptText("symbol or part of a name");
    Label help = new Label("Enter takes the first or the chosen one, Escape goes back");
    help.getStyleClass().addAll("small", "faded");
    list.setPrefHeight(LIST_HEIGHT);
    list.setFocusTraversable(false);
    list.columns(
        List.of(
            GridColumn.symbols(FindView.Candidate::symbol),
            GridColumn.words(
                "name", "The company's or fund's name.", 160, FindView.Candidate::name),
            GridColumn.numbers("price $", "Of now.", 64, c -> Price.text(c.price())),
            GridColumn.<FindView.Candidate>numbers(
                    "change",
                    "Of now, from the previous close.",
                    64,
                    c -> Numbers.percent(c.changePercent()))
                .toned(c -> Tone.ofChange(c.changePercent()))));
    list.onSelect(chosen -> {});
    list.setOnMouseClicked(e -> take());
    list.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> list.theme(is));
    text.textProperty()
        .addListener(
            (o, was, is) -> {
              answered = false;
              followed.follow(new FindView(workspace.session(), is));
            });
    text.setOnAction(e -> take());
    text.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    getChildren().addAll(text, list, help);
    setVisible(false);
    setManaged(false);
  }

  void open() {
    text.clear();
    list.emptyText("Type a symbol, or a part of a name.");
    list.otherRows(List.of());
    setVisible(true);
    setManaged(true);
    text.requestFocus();
  }

  private void show(List<FindView.Candidate> candidates) {
    if (answered) {
      list.rows(candidates);
      return;
    }
    answered = true;
    list.emptyText(
        text.getText().isBlank()
            ? "Type a symbol, or a part of a name."
            : "No symbol or name contains \"" + text.getText().strip() + "\".");
    list.select(null);
    list.otherRows(candidates);
  }

  private void key(KeyEvent event) {
    if (event.getCode() == KeyCode.DOWN) {
      list.move(1);
    } else if (event.getCode() == KeyCode.UP) {
      list.move(-1);
    } else if (event.getCode() == KeyCode.ESCAPE) {
      close();
    } else {
      return;
    }
    event.consume();
  }

  /** The chosen one, else what the text means. */
  private void take() {
    String typed = text.getText();
    String chosen =
        list.selected()
            .or(() -> answered ? list.rows().stream().findFirst() : Optional.empty())
            .map(FindView.Candidate::symbol)
            .orElse("");
    close();
    if (!chosen.isEmpty()) {
      workspace.focus().on(chosen);
    } else if (!typed.isBlank()) {
      workspace.focus().find(typed);
    }
  }

  private void close() {
    followed.stop();
    setVisible(false);
    setManaged(false);
    closed.run();
  }
}
