package kelvo.desktop.morning;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.grid.GridColumn;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.theme.SmallButton;
import kelvo.desktop.theme.Tone;
import kelvo.desktop.workspace.Workspace;
import kelvo.explain.SecondLook;
import kelvo.explain.SecondLook.Status;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/**
 * The second look after the open: the morning's rules asked again; who fell out and why, who is
 * new, who stayed.
 */
final class SecondLookView extends BorderPane {
  private final Workspace workspace;
  private final Label title = new Label();
  private final ToggleButton stayed = new ToggleButton("0 stayed");
  private @Nullable SecondLook looked;
  private final Grid<SecondLook.Row> table = new Grid<>("Second look", SecondLook.Row::symbol);

  SecondLookView(Workspace workspace, Runnable close) {
    this.workspace = workspace;
    getStyleClass().addAll("card", "part");
    title.getStyleClass().add("title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    stayed.getStyleClass().setAll("toggle-button", "small-button");
    stayed.setFocusTraversable(false);
    stayed.setTooltip(new Tooltip("Shows those who fitted then and fit now, too"));
    stayed.selectedProperty().addListener((o, was, is) -> list());
    stayed.setMinWidth(USE_PREF_SIZE);
    HBox head = new HBox(6, title, gap, stayed, SmallButton.of("Close", "L", close));
    head.setAlignment(Pos.CENTER_LEFT);
    setTop(head);
    setCenter(table);
    table.columns(columns());
    table.onTold(workspace.window().action()::set);
    table.onSelect(row -> workspace.focus().on(row.symbol()));
    table.theme(workspace.window().theme().get());
    workspace.window().theme().addListener((o, was, is) -> table.theme(is));
  }

  private static List<GridColumn<SecondLook.Row>> columns() {
    return List.of(
        GridColumn.symbols(SecondLook.Row::symbol),
        GridColumn.<SecondLook.Row>words(
                "", "Whether it fitted then and fits now.", 62, r -> r.status().words())
            .growing(0)
            .toned(r -> tone(r.status())),
        GridColumn.<SecondLook.Row>numbers(
                "then",
                "Change from the previous close at the first moment.",
                62,
                r -> Numbers.percent(r.then()))
            .toned(r -> Tone.ofChange(r.then())),
        GridColumn.<SecondLook.Row>numbers(
                "now", "Change from the previous close now.", 62, r -> Numbers.percent(r.now()))
            .toned(r -> Tone.ofChange(r.now())),
        GridColumn.words("why", "The rules that it fails now.", 200, SecondLook.Row::why));
  }

  private static Tone tone(Status status) {
    return switch (status) {
      case FELL_OUT -> Tone.BAD;
      case NEW -> Tone.GOOD;
      case STAYED -> Tone.INK;
    };
  }

  /** Looks again at the shown scan, at the moment shown. */
  void look() {
    Scan scan = workspace.shownScan().get();
    long first = Math.min(scan.to(), SessionHours.OPEN) - DayTime.SECOND;
    long second = workspace.clock().now();
    if (second <= first) {
      title.setText("The second look comes after " + DayTime.minutes(first + DayTime.SECOND));
      looked = null;
      stayed.setText("0 stayed");
      table.rows(List.of());
      return;
    }
    title.setText("Looking ..");
    workspace.clock().ask(run -> SecondLook.of(run, scan, first, second), look -> show(scan, look));
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
            + " new");
    stayed.setText(count(look, Status.STAYED) + " stayed");
    looked = look;
    list();
  }

  /** Those who stayed are folded away until they are asked for. */
  private void list() {
    SecondLook look = looked;
    if (look != null) {
      table.emptyText(
          look.rows().isEmpty()
              ? "Nobody fitted at either moment."
              : "Nobody fell out, and nobody is new.");
      table.otherRows(
          look.rows().stream()
              .filter(row -> stayed.isSelected() || row.status() != Status.STAYED)
              .toList());
    }
  }

  private static long count(SecondLook look, Status status) {
    return look.rows().stream().filter(row -> row.status() == status).count();
  }
}
