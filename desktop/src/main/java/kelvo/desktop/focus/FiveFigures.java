package kelvo.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kelvo.desktop.rules.PointedRules;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.view.KeyFiguresView;

/** The five figures that decide, in a row under the symbol. */
final class FiveFigures extends HBox {
  private static final int FIGURES = 5;

  private final Workspace workspace;
  private final List<Cell> cells = new ArrayList<>();
  private final Followed<List<KeyFiguresView.Figure>> followed;

  /** A figure with what it is called and what it is made of. */
  private static final class Cell extends VBox {
    private final Label label = new Label();
    private final Label value = new Label();
    private final Label detail = new Label();
    private final Tooltip help = new Tooltip();

    Cell() {
      label.getStyleClass().addAll("tiny", "faded");
      value.getStyleClass().add("clock");
      detail.getStyleClass().addAll("tiny", "faded");
      getChildren().addAll(label, value, detail);
      setMinWidth(0);
      setPrefWidth(90);
      HBox.setHgrow(this, Priority.ALWAYS);
      Tooltip.install(this, help);
    }

    /** The rules that a figure suggests. */
    private void offer(Workspace workspace, KeyFiguresView.Figure figure, ContextMenuEvent e) {
      if (figure.field().isEmpty()) {
        return;
      }
      workspace
          .desk()
          .vocabulary()
          .find(figure.field())
          .ifPresent(
              found ->
                  new PointedRules(workspace)
                      .offer(value, found, figure.number(), e.getScreenX(), e.getScreenY()));
    }

    void tell(String name, String figure, String madeOf, String meaning) {
      label.setText(name);
      value.setText(figure);
      detail.setText(madeOf);
      help.setText(meaning.isEmpty() ? "" : name + ": " + madeOf + "\n" + meaning);
    }
  }

  FiveFigures(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().addAll("card", "divided", "five-figures");
    for (int i = 0; i < FIGURES; i++) {
      cells.add(new Cell());
    }
    getChildren().addAll(cells);
    followed = new Followed<>(workspace, this::tell);
  }

  void show(String symbol) {
    followed.stop();
    cells.forEach(cell -> cell.tell(" ", "", " ", ""));
    workspace
        .session()
        .numberOf(symbol)
        .ifPresent(security -> followed.follow(new KeyFiguresView(workspace.session(), security)));
  }

  private void tell(List<KeyFiguresView.Figure> figures) {
    for (int i = 0; i < FIGURES; i++) {
      int place = i;
      KeyFiguresView.Figure figure = figures.get(i);
      cells.get(i).tell(figure.label(), figure.value(), figure.detail(), figure.meaning());
      cells.get(i).setOnContextMenuRequested(e -> cells.get(place).offer(workspace, figure, e));
    }
  }
}
