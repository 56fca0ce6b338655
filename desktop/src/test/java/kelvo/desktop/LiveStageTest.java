package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.alert.Ring;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.live.LiveStage;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.view.RangLine;
import kelvo.view.StreamView;
import kelvo.view.WatchView;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The stream of hits, and the scans that may be left out of it. */
@ExtendWith(RealWindow.class)
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
    until(() -> opened.workspace.window().stage().get().equals(LiveStage.KIND));
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private static Grid<StreamView.Streamed> lane(FxRobot robot) {
    return robot
        .from(robot.lookup("#lanes").queryParent())
        .lookup((Node n) -> n instanceof Grid<?>)
        .query();
  }

  private static Grid<WatchView.Watched> watch(FxRobot robot) {
    return robot
        .from(robot.lookup("#watch").queryParent())
        .lookup((Node n) -> n instanceof Grid<?>)
        .query();
  }

  private static Grid<RangLine> rang(FxRobot robot) {
    return robot
        .from(robot.lookup("#rang").queryParent())
        .lookup((Node n) -> n instanceof Grid<?>)
        .query();
  }

  private List<String> watched(FxRobot robot) {
    return watch(robot).rows().stream().map(WatchView.Watched::symbol).toList();
  }

  private static List<String> named(FxRobot robot) {
    MenuButton scans =
        robot.lookup((Node n) -> n instanceof MenuButton b && b.getText().equals("Scans")).query();
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
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.desk().add(List.of(added)));
  }

  private static boolean shows(Grid<StreamView.Streamed> stream, String scan) {
    return stream.rows().stream().anyMatch(row -> row.hits().newest().scan().equals(scan));
  }

  @Tag("proof")
  @Test
  void aScanMadeLaterIsNamedAndItsHitsComeAndCanBeLeftOut(FxRobot robot) {
    until(() -> robot.lookup((Node n) -> n instanceof Grid<?>).queryAll().size() >= 4);
    Grid<StreamView.Streamed> stream = lane(robot);
    until(() -> !stream.rows().isEmpty());
    assertThat(named(robot)).doesNotContain(ADDED);

    add();
    assertThat(named(robot)).contains(ADDED, ADDED + " rings on any symbol by");
    until(() -> shows(stream, ADDED));

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.alerts().silence(ADDED, true));
    until(() -> !shows(stream, ADDED));
    assertThat(stream.rows()).isNotEmpty();
  }

  @Tag("proof")
  @Test
  void aListIsMadePastedAddedToFollowedAndTakenBack(FxRobot robot) {
    robot.clickOn("+").write("Fades").type(KeyCode.ENTER);
    until(
        () ->
            opened.workspace.lists().lists().get().stream()
                .anyMatch(list -> list.name().equals("Fades")));
    until(() -> watched(robot).isEmpty());
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          opened.workspace.focus().on("TIDARC");
          opened.window.shown().node().requestFocus();
        });
    robot.type(KeyCode.A);
    until(() -> watched(robot).equals(List.of("TIDARC")));

    robot.rightClickOn((Node n) -> n instanceof ToggleButton b && b.getText().startsWith("Fades"));
    robot.clickOn("Paste symbols…").write("orbtow, $KELPOR NOSUCH until 2031-03-14");
    robot.type(KeyCode.ENTER);
    until(() -> watched(robot).equals(List.of("TIDARC", "ORBTOW", "KELPOR")));
    assertThat(opened.workspace.window().action().get()).contains("not listed: NOSUCH");
    until(() -> kept("fades.json").contains("2031-03-14"));

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.window.shown().node().requestFocus());
    robot.type(KeyCode.X);
    until(() -> watched(robot).equals(List.of("ORBTOW", "KELPOR")));
    robot.type(KeyCode.U);
    until(() -> watched(robot).size() == 3);

    String scan =
        opened.workspace.clock().hits().reversed().stream()
            .filter(hit -> hit.at() >= DayTime.of(10, 0) && !hit.version().isEmpty())
            .findFirst()
            .orElseThrow()
            .scan();
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            opened
                .workspace
                .lists()
                .change(opened.workspace.lists().named("Fades").following(scan), "follows"));
    until(() -> watched(robot).size() > 3);
  }

  private String kept(String list) {
    try {
      Path file = opened.folder.resolve("lists").resolve(list);
      return Files.exists(file) ? Files.readString(file) : "";
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void whatIsWatchedRingsAndQuietHoldsItBack(FxRobot robot) {
    until(() -> !opened.workspace.clock().hits().isEmpty());
    String symbol = opened.workspace.clock().hits().getLast().symbol();
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> opened.workspace.lists().change(Watchlist.of("Mine", List.of(symbol)), "mine"));
    until(
        () ->
            rang(robot).rows().stream()
                .anyMatch(
                    line ->
                        line instanceof RangLine.One one
                            && one.rung().ring().event().symbol().equals(symbol)
                            && one.rung().ring().rank() == Ring.Rank.WATCHED));

    robot.type(KeyCode.Q);
    until(() -> opened.workspace.alerts().quietUntil() == DayTime.of(11, 30));
    robot.type(KeyCode.Q);
    until(() -> opened.workspace.alerts().quietUntil() == 0);
  }

  @Tag("proof")
  @Test
  void theStreamIsDividedAsTheTraderLikes(FxRobot robot) {
    until(() -> !opened.workspace.clock().hits().isEmpty());
    assertThat(titles(robot)).contains("Strength", "Weakness");

    robot.clickOn("two lanes").clickOn("one lane");
    until(() -> titles(robot).contains("Hits") && !titles(robot).contains("Strength"));

    goTo(DayTime.of(12, 0));
    robot.clickOn("one lane").clickOn("two lanes");
    until(() -> titles(robot).contains("Strength"));
    goTo(MORNING);
    until(() -> titles(robot).contains("Hits") && !titles(robot).contains("Strength"));
  }

  private void goTo(long moment) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.clock().seek(moment));
    until(() -> opened.workspace.clock().now() == moment);
  }

  @Tag("proof")
  @Test
  void onlyOneSideOrKindIsListed(FxRobot robot) {
    until(() -> !lane(robot).rows().isEmpty());
    robot.clickOn("two lanes").clickOn("one lane");
    until(() -> titles(robot).contains("Hits"));
    int all = lane(robot).rows().size();

    robot.clickOn("Only").clickOn("Side").clickOn("down");
    until(() -> !lane(robot).rows().isEmpty() && lane(robot).rows().size() < all);
    assertThat(lane(robot).rows()).allMatch(row -> row.hits().newest().side().direction() < 0);
  }

  @Tag("proof")
  @Test
  void theStreamIsOfAWatchlistOnly(FxRobot robot) {
    until(() -> !lane(robot).rows().isEmpty());
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> opened.workspace.lists().change(Watchlist.of("Mine", List.of("TIDARC")), "mine"));
    robot.clickOn("everyone").clickOn("Mine");

    until(() -> lane(robot).rows().size() == 1);
    assertThat(lane(robot).rows().getFirst().now().symbol()).isEqualTo("TIDARC");
  }

  private static List<String> titles(FxRobot robot) {
    return robot.lookup(".title").queryAllAs(Label.class).stream().map(Label::getText).toList();
  }
}
