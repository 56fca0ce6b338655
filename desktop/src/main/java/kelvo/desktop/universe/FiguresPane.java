package kelvo.desktop.universe;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.workspace.Workspace;
import kelvo.field.Unit;
import kelvo.universe.Figure;
import org.jspecify.annotations.Nullable;

/** Floats and share counts put right by hand: another one, and all of them, to be taken back. */
final class FiguresPane extends BorderPane {
  private final Workspace workspace;
  private final Grid<Figure> table = new Grid<>("Figures", figure -> figure);
  private @Nullable Figure chosen;

  FiguresPane(Workspace workspace) {
    this.workspace = workspace;
    Label help =
        new Label(
            "A float or share count of the symbol in focus, as it was read elsewhere. The last one"
                + " of a symbol counts, from its date on.");
    help.getStyleClass().addAll("faded", "small");
    help.setWrapText(true);
    VBox top =
        new VBox(
            4,
            help,
            new FigureForm(workspace),
            SmallButton.of("Take back", "The chosen figure counts no more", this::takeBack));
    top.getStyleClass().addAll("card", "part");
    setTop(top);
    setCenter(table);
    table.columns(columns());
    table.emptyText("No figure was put right by hand.");
    table.onTold(workspace.window().action()::set);
    table.onSelect(
        figure -> {
          chosen = figure;
          workspace.focus().on(figure.symbol());
        });
    table.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
    workspace.desk().figures().addListener((o, was, is) -> show(is));
    show(workspace.desk().figures().get());
  }

  private static List<GridColumn<Figure>> columns() {
    return List.of(
        GridColumn.symbols(Figure::symbol),
        GridColumn.words(
            "figure", "What was put right.", 120, figure -> figure.kind().word().replace('_', ' ')),
        GridColumn.numbers(
            "shares", "As it was put right.", 80, figure -> Unit.SHARES.text(figure.shares())),
        GridColumn.words(
            "as of", "The date from which it counts.", 90, figure -> figure.asOf().toString()),
        GridColumn.words("read where", "Its source, in your words.", 220, Figure::source));
  }

  private void show(List<Figure> figures) {
    table.rows(figures.reversed());
    if (chosen != null && !figures.contains(chosen)) {
      chosen = null;
    }
  }

  private void takeBack() {
    Figure back = chosen;
    if (back == null) {
      workspace.window().action().set("Choose a figure in the list first");
    } else {
      workspace.desk().takeBack(back);
    }
  }

  void next() {
    table.move(1);
  }
}
