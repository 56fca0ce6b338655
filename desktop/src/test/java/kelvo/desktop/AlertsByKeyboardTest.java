package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import kelvo.delivery.Channel;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.morning.MorningStage;
import kelvo.time.DayTime;
import kelvo.view.AlertStanding;
import kelvo.view.AlertStanding.State;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Alerts from the first key to what they did, in the real window. */
@ExtendWith(RealWindow.class)
class AlertsByKeyboardTest {
  private static final long START = DayTime.of(9, 31);

  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, START);
  }

  @BeforeEach
  void go(FxRobot robot) {
    until(() -> opened.shown().moment() == START);
    robot.type(KeyCode.DIGIT3);
    until(() -> opened.workspace.window().stage().get().equals(LiveStage.KIND));
    onWindowThread(() -> opened.workspace.focus().on("TIDARC"));
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private static void onWindowThread(Runnable action) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, action);
  }

  private static TextField field(FxRobot robot) {
    return robot.lookup("#alert-field").query();
  }

  private void type(FxRobot robot, String words) {
    robot.type(KeyCode.E);
    until(() -> field(robot).isFocused() && field(robot).getText().equals("TIDARC "));
    robot.write(words);
  }

  private List<AlertStanding> standing() {
    return WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.alerts().rang().get().alerts());
  }

  private static Grid<AlertStanding> table(FxRobot robot) {
    return robot.lookup("#alert-table").query();
  }

  @Test
  void anAlertIsTypedRingsOnceAndTellsWhatFollowed(FxRobot robot) {
    type(robot, "new high of day, once");
    robot.type(KeyCode.ENTER);
    until(() -> standing().size() == 1);
    assertThat(standing().getFirst().state()).isEqualTo(State.ARMED);

    onWindowThread(() -> opened.workspace.clock().play(600));
    until(() -> standing().getFirst().state() == State.SPENT);
    assertThat(standing().getFirst().rings()).isEqualTo(1);
    assertThat(popups()).as("popups over the lists that say the same").isZero();
    until(() -> !Double.isNaN(standing().getFirst().after().fifteen()));
    onWindowThread(() -> opened.workspace.clock().play(0));
    Path file = opened.folder.resolve("alerts.json");
    until(() -> Files.exists(file) && Files.readString(file).contains("\"spent\""));
    assertThat(file).content().contains("TIDARC new high of day, once");
  }

  private static long popups() {
    return WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            Window.getWindows().stream()
                .map(window -> window.getScene().getRoot())
                .mapToLong(root -> root.lookupAll(".popup-alert").size())
                .sum());
  }

  @Test
  void aRingPopsUpOverOtherStagesAndGoesWithTheClock(FxRobot robot) {
    type(robot, "new high of day, once");
    robot.type(KeyCode.ENTER);
    until(() -> standing().size() == 1);
    robot.type(KeyCode.DIGIT2);
    until(() -> opened.workspace.window().stage().get().equals(MorningStage.KIND));

    onWindowThread(() -> opened.workspace.clock().play(600));
    until(() -> popups() > 0);
    onWindowThread(() -> opened.workspace.clock().play(0));
    onWindowThread(() -> opened.workspace.clock().seek(START));

    until(() -> opened.shown().moment() == START);
    until(() -> popups() == 0);
  }

  @Tag("proof")
  @Test
  void whatIsWrongIsSaidWhileItIsTypedAndMakesNoAlert(FxRobot robot) {
    type(robot, "jumps");
    until(() -> labels(robot).anyMatch(text -> text.contains("\"jumps\" is neither")));
    robot.type(KeyCode.ENTER);
    assertThat(opened.workspace.alertDesk().book().get().alerts()).isEmpty();
  }

  private static java.util.stream.Stream<String> labels(FxRobot robot) {
    return robot.lookup(".label").queryAllAs(Label.class).stream().map(Label::getText);
  }

  @Tag("proof")
  @Test
  void anAlertIsSnoozedChangedSwitchedOffAndTakenBack(FxRobot robot) {
    type(robot, "rises through 100");
    robot.type(KeyCode.ENTER);
    until(() -> standing().size() == 1);
    until(() -> table(robot).rows().size() == 1);

    offer(robot, "Silent for 10 min");
    until(() -> standing().getFirst().state() == State.SNOOZED);
    offer(robot, "Arm");
    until(() -> standing().getFirst().state() == State.ARMED);
    offer(robot, "Off");
    until(() -> standing().getFirst().state() == State.OFF);
    onWindowThread(opened.workspace.undoStack()::undo);
    until(() -> standing().getFirst().state() == State.ARMED);
    onWindowThread(
        () -> opened.workspace.alertDesk().by(standing().getFirst().alert(), Channel.SPOKEN, true));
    until(() -> standing().getFirst().alert().how().contains(Channel.SPOKEN));

    offer(robot, "Change");
    until(() -> field(robot).getText().startsWith("TIDARC rises through 100, once"));
    onWindowThread(
        () -> {
          field(robot).setText("TIDARC rises through 101, again after 5m");
          field(robot).getOnAction().handle(null);
        });
    until(() -> standing().getFirst().alert().name().equals("TIDARC rises through 101"));
    assertThat(opened.workspace.alertDesk().book().get().alerts())
        .as("the one before is kept for what it did")
        .hasSize(2);
    offer(robot, "Remove");
    until(() -> standing().isEmpty());
  }

  private static void offer(FxRobot robot, String action) {
    Grid<AlertStanding> table = table(robot);
    robot.rightClickOn(table.localToScreen(100, 40).getX(), table.localToScreen(100, 40).getY());
    robot.clickOn(action);
  }

  @Tag("proof")
  @Test
  void theHeaderSaysThatItIsMuted(FxRobot robot) {
    boolean sounds = opened.workspace.alerts().sound().get();
    robot.type(KeyCode.M);
    until(() -> opened.workspace.alerts().sound().get() != sounds);
    robot.type(KeyCode.M);
    until(() -> opened.workspace.alerts().sound().get() == sounds);
    assertThat(robot.lookup("#sound-state").queryLabeled().getText())
        .isEqualTo(sounds ? "" : "muted");
  }
}
