package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import kelvo.desktop.chart.PointedAt;
import kelvo.time.DayTime;
import kelvo.view.WallView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** The wall of small charts, by mouse: focus, own order, days, the shared crosshair. */
@ExtendWith(RealWindow.class)
class WallTest {
  private static final long MORNING = DayTime.of(9, 20);
  private static final double HEAD = 24;

  private OpenedWindow opened;
  private Node wall;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, MORNING);
  }

  @BeforeEach
  void open(FxRobot robot) {
    until(() -> opened.shown().isThere() && shown().moment() == MORNING);
    robot.type(KeyCode.V);
    until(() -> opened.morning().chartsOnWall() > 20);
    wall = robot.lookup((Node n) -> "Wall of small charts".equals(n.getAccessibleText())).query();
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private ShownDay shown() {
    return opened.shown();
  }

  /** The middle of a place in the first row. */
  private Point2D place(int column) {
    double width = wall.getLayoutBounds().getWidth();
    double tile = (width - 6) / Math.max(1, (int) ((width - 6) / 150));
    return wall.localToScreen((column + 0.5) * tile, HEAD + 22 + 30);
  }

  private List<String> symbols() {
    return shown().wall().stream().map(tile -> tile.card().symbol()).toList();
  }

  @Test
  void whatStandsAboveTheListIsChosenAndMarkedInItsLine(FxRobot robot) {
    ToggleButton field = robot.lookup("field").queryAs(ToggleButton.class);
    ToggleButton ofWall = robot.lookup("wall").queryAs(ToggleButton.class);
    assertThat(ofWall.isSelected()).isTrue();

    robot.clickOn(field);
    until(() -> !opened.workspace.window().wall().get());
    robot.clickOn(field);
    assertThat(field.isSelected()).as("still above, so still marked").isTrue();
    assertThat(ofWall.isSelected()).isFalse();
  }

  @Tag("proof")
  @Test
  void themesComeFirstThenRisersAndFallers() {
    List<String> groups = shown().wall().stream().map(WallView.Tile::group).toList();

    assertThat(groups).contains("risers", "fallers");
    assertThat(groups.indexOf("risers")).isLessThan(groups.indexOf("fallers"));
    assertThat(groups.getFirst()).isNotIn("risers", "fallers");
    assertThat(shown().wall())
        .filteredOn(tile -> tile.group().equals("risers"))
        .allMatch(tile -> tile.card().changePercent() > 0);
  }

  @Tag("proof")
  @Test
  void aClickPutsASymbolInFocusAndADragMovesItsChart(FxRobot robot) {
    String first = symbols().getFirst();
    String third = symbols().get(2);
    robot.clickOn(place(2));
    until(() -> opened.workspace.focus().symbol().get().equals(third));

    robot.moveTo(place(2)).press(MouseButton.PRIMARY);
    robot.moveTo(place(0)).release(MouseButton.PRIMARY);
    robot.clickOn(place(1));
    until(() -> opened.workspace.focus().symbol().get().equals(first));
    robot.clickOn(place(0));
    until(() -> opened.workspace.focus().symbol().get().equals(third));
  }

  @Tag("proof")
  @Test
  void pointingAtAChartPointsAtThatTimeOnAllOthers(FxRobot robot) {
    robot.moveTo(place(1));
    until(() -> opened.workspace.window().pointed().get() != null);
    PointedAt pointed = opened.workspace.window().pointed().get();
    assertThat(pointed.symbol()).isEqualTo(symbols().get(1));
    assertThat(pointed.moment()).isBetween(DayTime.of(6, 0), DayTime.of(7, 30));

    robot.clickOn("Days").moveTo(place(1));
    until(
        () ->
            opened.workspace.window().pointed().get() != null
                && opened.workspace.window().pointed().get().moment() == PointedAt.WHOLE_DAY);
    assertThat(opened.workspace.window().pointed().get().date()).isBefore(opened.workspace.day());
  }
}
