package kelvo.desktop.live;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.RowConstraints;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.workspace.Workspace;
import kelvo.time.DayTime;
import kelvo.view.StreamView.Streamed;
import org.jspecify.annotations.Nullable;

/** The stream of hits, a row a symbol: in one lane, in two, or in one a scan. */
final class StreamLanes extends GridPane {
  /** How the stream is divided. */
  enum Division {
    ONE("one lane"),
    TWO("two lanes"),
    BY_SCAN("lane a scan");

    private final String words;

    Division(String words) {
      this.words = words;
    }

    /** The words on screen. */
    String words() {
      return words;
    }
  }

  private static final double NARROW_BELOW = 470;
  private static final int MOST_LANES = 4;
  private static final long LATELY = 5 * DayTime.MINUTE;

  private final Workspace workspace;
  private final ContextMenu menu = new ContextMenu();
  private final List<Lane> lanes = new ArrayList<>();
  private Division division = Division.TWO;
  private List<Streamed> all = List.of();
  private int last;

  /** One lane with its heading. */
  private final class Lane extends BorderPane {
    private final Predicate<Streamed> holds;
    private final Label count = new Label();
    private final Grid<Streamed> grid;
    private boolean narrow;

    Lane(String title, String help, Predicate<Streamed> holds) {
      this.holds = holds;
      grid = new Grid<>(title, row -> row.hits().newest().security());
      Label name = new Label(title);
      name.getStyleClass().add("title");
      name.setTooltip(new Tooltip(help));
      count.getStyleClass().addAll("faded", "small");
      HBox head = new HBox(8, name, count);
      head.setAlignment(Pos.BASELINE_LEFT);
      head.getStyleClass().addAll("card", "part");
      setTop(head);
      setCenter(grid);
      grid.columns(StreamColumns.ALL);
      grid.strength(StreamColumns::strength);
      grid.more(StreamColumns::atTheHit);
      grid.emptyText(
          "No hits yet. Scans look from the start of their windows; the day rail shows when.");
      grid.onTold(workspace.window().action()::set);
      grid.onSelect(
          row -> {
            last = lanes.indexOf(this);
            workspace.focus().on(row.now().symbol());
          });
      grid.onCellMenu((row, column, x, y) -> offer(grid, row, x, y));
      grid.theme(workspace.window().theme().get());
      widthProperty().addListener((o, was, is) -> Platform.runLater(this::fit));
    }

    private void fit() {
      if (narrow != (getWidth() < NARROW_BELOW)) {
        narrow = !narrow;
        grid.columns(narrow ? StreamColumns.NARROW : StreamColumns.ALL);
        rows(true);
      }
    }

    private void rows(boolean atOnce) {
      List<Streamed> own = all.stream().filter(holds).toList();
      if (atOnce) {
        grid.otherRows(own);
      } else {
        grid.rows(own);
      }
      long lately = own.stream().filter(row -> row.age() < LATELY).count();
      count.setText(lately + (lately == 1 ? " symbol" : " symbols") + " in 5 min");
    }
  }

  StreamLanes(Workspace workspace) {
    this.workspace = workspace;
    setId("lanes");
    workspace
        .window()
        .theme()
        .addListener((o, was, is) -> lanes.forEach(lane -> lane.grid.theme(is)));
    workspace
        .focus()
        .symbol()
        .addListener(
            (o, was, is) ->
                workspace
                    .session()
                    .numberOf(is)
                    .ifPresent(number -> lanes.forEach(lane -> lane.grid.mark(number))));
    divide(division);
  }

  /** How it is divided. */
  Division division() {
    return division;
  }

  /** Other scans have lanes of their own. */
  void scansChanged() {
    if (division == Division.BY_SCAN) {
      divide(division);
    }
  }

  /** Divides it otherwise. */
  void divide(Division wanted) {
    division = wanted;
    lanes.clear();
    switch (wanted) {
      case ONE -> lanes.add(new Lane("Hits", "A symbol a row, the newest hit first.", row -> true));
      case TWO -> {
        lanes.add(
            new Lane(
                "Strength",
                "Whose newest hit looks up, or looks no way while the price is up on the day.",
                Streamed::isStrength));
        lanes.add(
            new Lane(
                "Weakness",
                "Whose newest hit looks down, or looks no way while the price is down on the day.",
                row -> !row.isStrength()));
      }
      case BY_SCAN ->
          workspace.scans().stream()
              .filter(scan -> !workspace.alerts().silenced().get().contains(scan.name()))
              .limit(MOST_LANES)
              .forEach(
                  scan ->
                      lanes.add(
                          new Lane(
                              scan.name(),
                              scan.purpose(),
                              row -> row.hits().newest().scan().equals(scan.name()))));
    }
    place();
    lanes.forEach(lane -> lane.rows(true));
  }

  /** Alerts on the symbol of a row: any, or one on what it did just now. */
  private void offer(Node over, Streamed row, double x, double y) {
    String symbol = row.now().symbol();
    String trigger = row.hits().newest().trigger().words();
    MenuItem any = new MenuItem("An alert on " + symbol + "…");
    any.setOnAction(e -> workspace.alertDesk().begin(symbol + " "));
    MenuItem again = new MenuItem("Alert: " + symbol + " " + trigger + ", again after 5m");
    again.setMnemonicParsing(false);
    again.setOnAction(e -> workspace.alertDesk().add(symbol + " " + trigger + ", again after 5m"));
    menu.getItems().setAll(any, again);
    menu.show(over, x, y);
  }

  /** Lets in what waits while the lists are held still. */
  void letIn() {
    lanes.forEach(lane -> lane.rows(true));
  }

  /** Two lanes beside each other, four in a square. */
  private void place() {
    getChildren().clear();
    getColumnConstraints().clear();
    getRowConstraints().clear();
    int columns = lanes.size() == 1 ? 1 : 2;
    int rows = Math.max(1, (lanes.size() + columns - 1) / columns);
    for (int i = 0; i < columns; i++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(100.0 / columns);
      getColumnConstraints().add(column);
    }
    for (int i = 0; i < rows; i++) {
      RowConstraints row = new RowConstraints();
      row.setPercentHeight(100.0 / rows);
      row.setVgrow(Priority.ALWAYS);
      getRowConstraints().add(row);
    }
    for (int i = 0; i < lanes.size(); i++) {
      Node lane = lanes.get(i);
      add(lane, i % columns, i / columns);
    }
  }

  /**
   * Shows the newest hits.
   *
   * @param atOnce even while the pointer holds them still
   */
  void show(List<Streamed> newest, boolean atOnce) {
    all = newest;
    lanes.forEach(lane -> lane.rows(atOnce));
  }

  /** Goes to the next row of the lane that was walked last. */
  void next() {
    Lane lane = lane();
    if (lane != null) {
      lane.grid.move(1);
    }
  }

  private @Nullable Lane lane() {
    return lanes.isEmpty() ? null : lanes.get(Math.min(last, lanes.size() - 1));
  }
}
