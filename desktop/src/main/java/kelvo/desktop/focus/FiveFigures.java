package kelvo.desktop.focus;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.layout.HBox;
import kelvo.desktop.rules.PointedRules;
import kelvo.desktop.theme.FigureCell;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.Workspace;
import kelvo.view.KeyFiguresView;

/** The five figures that decide, in a row under the symbol. */
final class FiveFigures extends HBox {
  private static final int FIGURES = 5;

  private final Workspace workspace;
  private final List<FigureCell> cells = new ArrayList<>();
  private final Followed<List<KeyFiguresView.Figure>> followed;

  FiveFigures(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().addAll("card", "divided", "figure-row");
    for (int i = 0; i < FIGURES; i++) {
      cells.add(new FigureCell());
    }
    getChildren().addAll(cells);
    followed = new Followed<>(workspace.clock(), this::tell);
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
      cells.get(i).setOnContextMenuRequested(e -> offer(cells.get(place), figure, e));
    }
  }

  /** The rules that a figure suggests. */
  private void offer(FigureCell cell, KeyFiguresView.Figure figure, ContextMenuEvent e) {
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
                    .offer(cell.figure(), found, figure.number(), e.getScreenX(), e.getScreenY()));
  }
}
