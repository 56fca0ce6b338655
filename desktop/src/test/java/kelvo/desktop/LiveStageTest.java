package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.live.LiveStage;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.view.StreamView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The stream of hits, and the scans that may be left out of it. */
@ExtendWith(ApplicationExtension.class)
class LiveStageTest {
  private static final long MORNING = DayTime.of(10, 30);
  private static final String ADDED = "Every new high";

  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, MORNING);
  }

  @BeforeEach
  void go(FxRobot robot) {
    until(() -> opened.shown().moment() == MORNING);
    robot.type(KeyCode.DIGIT3);
    until(() -> opened.workspace.stage().get().equals(LiveStage.KIND));
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private static Grid<StreamView.Streamed> stream(FxRobot robot) {
    return robot
        .lookup(
            (Node n) -> n instanceof Grid<?> && n.getAccessibleRole() == AccessibleRole.TABLE_VIEW)
        .query();
  }

  private static List<String> named(FxRobot robot) {
    MenuButton scans =
        robot
            .lookup((Node n) -> n instanceof MenuButton b && b.getText().startsWith("Scans in"))
            .query();
    return scans.getItems().stream().map(MenuItem::getText).toList();
  }

  private void add() {
    Scan first = opened.workspace.scans().getFirst();
    Scan added =
        new Scan(
            ADDED,
            first.purpose(),
            first.universe(),
            DayTime.FIRST,
            DayTime.LAST,
            List.of(),
            List.of(),
            List.of(Trigger.NEW_HIGH_OF_SESSION),
            first.fold(),
            first.side(),
            first.limit(),
            first.sort(),
            first.columns());
    WaitForAsyncUtils.waitForAsyncFx(5_000, () -> opened.workspace.desk().add(List.of(added)));
  }

  private static boolean shows(Grid<StreamView.Streamed> stream, String scan) {
    return stream.rows().stream().anyMatch(row -> row.hits().newest().scan().equals(scan));
  }

  @Test
  void aScanMadeLaterIsNamedAndItsHitsComeAndCanBeLeftOut(FxRobot robot) {
    Grid<StreamView.Streamed> stream = stream(robot);
    until(() -> !stream.rows().isEmpty());
    assertThat(named(robot)).doesNotContain(ADDED);

    add();
    assertThat(named(robot)).contains(ADDED).hasSize(opened.workspace.scans().size());
    until(() -> shows(stream, ADDED));

    WaitForAsyncUtils.waitForAsyncFx(5_000, () -> opened.workspace.alerts().silence(ADDED, true));
    until(() -> !shows(stream, ADDED));
    assertThat(stream.rows()).isNotEmpty();
  }
}
