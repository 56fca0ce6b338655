package kelvo.desktop.morning;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.explain.SecondLook;
import kelvo.explain.SecondLook.Status;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/**
 * The second look after the open: the morning's rules asked again; who fell out and why, who is
 * new, who stayed.
 */
final class SecondLookView extends BorderPane {
  private final Workspace workspace;
  private final Label title = new Label();
  private final Grid<SecondLook.Row> table = new Grid<>("Second look", SecondLook.Row::symbol);

  SecondLookView(Workspace workspace, Runnable close) {
    this.workspace = workspace;
    getStyleClass().addAll("card", "part");
    title.getStyleClass().add("title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox head = new HBox(6, title, gap, SmallButton.of("Close", "L", close));
    head.setAlignment(Pos.CENTER_LEFT);
    setTop(head);
    setCenter(table);
    table.columns(columns());
    table.onTold(workspace.action()::set);
    table.onSelect(row -> workspace.focusOn(row.symbol()));
    table.theme(workspace.theme().get());
    workspace.theme().addListener((o, was, is) -> table.theme(is));
  }

  private static List<GridColumn<SecondLook.Row>> columns() {
    return List.of(
        GridColumn.words("Symbol", "The ticker.", 78, SecondLook.Row::symbol),
        GridColumn.<SecondLook.Row>words(
                "Status", "Whether it fitted then and fits now.", 74, r -> r.status().words())
            .toned(r -> tone(r.status())),
        GridColumn.words("Why", "The rules that it fails now.", 470, SecondLook.Row::why));
  }

  private static Tone tone(Status status) {
    return switch (status) {
      case FELL_OUT -> Tone.DOWN;
      case NEW -> Tone.UP;
      case STAYED -> Tone.INK;
    };
  }

  /** Looks again at the shown scan, at the moment shown. */
  void look() {
    Scan scan = workspace.shownScan().get();
    long first = Math.min(scan.to(), SessionHours.OPEN) - DayTime.SECOND;
    long second = workspace.now();
    if (second <= first) {
      title.setText("The second look comes after " + DayTime.minutes(first + DayTime.SECOND));
      table.rows(List.of());
      return;
    }
    title.setText("Looking ..");
    workspace.ask(run -> SecondLook.of(run, scan, first, second), look -> show(scan, look));
  }

  private void show(Scan scan, SecondLook look) {
    title.setText(
        scan.name()
            + ", "
            + DayTime.minutes(look.first() + DayTime.SECOND)
            + " to "
            + DayTime.minutes(look.second())
            + ": "
            + count(look, Status.FELL_OUT)
            + " fell out, "
            + count(look, Status.NEW)
            + " new, "
            + count(look, Status.STAYED)
            + " stayed");
    table.emptyText("Nobody fitted at either moment.");
    table.rows(look.rows());
  }

  private static long count(SecondLook look, Status status) {
    return look.rows().stream().filter(row -> row.status() == status).count();
  }
}
