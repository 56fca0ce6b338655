package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.concurrent.atomic.AtomicReference;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.workspace.OtherDay;
import kelvo.player.Step;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** Other sessions and steps through this one, by keyboard. */
@ExtendWith(RealWindow.class)
class SessionCalendarTest {
  private final AtomicReference<OtherDay> asked = new AtomicReference<>();
  private OpenedWindow opened;

  @Start
  void start(Stage stage) throws IOException {
    opened = OpenedWindow.open(DemoCopy.makeWithDayBefore(), stage, DayTime.of(9, 45));
    opened.workspace.navigation().onOpen(asked::set);
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private static void offer(FxRobot robot) {
    robot.push(KeyCode.SHORTCUT, KeyCode.O);
    until(
        () ->
            robot
                .lookup("#session-chosen")
                .tryQueryAs(Label.class)
                .filter(label -> label.getText().contains("every print recorded"))
                .isPresent());
  }

  @Test
  void anotherSessionOpensAtTheSameTimeOfDay(FxRobot robot) {
    until(() -> opened.shown().isThere());
    offer(robot);
    robot.type(KeyCode.LEFT);
    until(
        () ->
            robot
                .lookup("#session-chosen")
                .<Label>query()
                .getText()
                .startsWith(DemoCopy.DAY_BEFORE + ": "));
    robot.type(KeyCode.ENTER);
    until(() -> asked.get() != null);

    assertThat(asked.get())
        .isEqualTo(
            OtherDay.of(
                DemoCopy.DAY_BEFORE, DayTime.of(9, 45), opened.workspace.focus().symbol().get()));
  }

  @Tag("proof")
  @Test
  void oneIsChosenByChanceAndOpenedBlind(FxRobot robot) {
    until(() -> opened.shown().isThere());
    offer(robot);
    robot.type(KeyCode.B);
    until(() -> asked.get() != null);

    assertThat(asked.get())
        .isEqualTo(new OtherDay(DemoCopy.DAY_BEFORE, DayTime.of(9, 45), "", true));
  }

  @Tag("proof")
  @Test
  void theBracketsStepThroughTheDay(FxRobot robot) {
    until(() -> opened.shown().isThere());
    robot.type(KeyCode.CLOSE_BRACKET);
    until(() -> opened.workspace.clock().now() == DayTime.of(9, 46));
    robot.interact(() -> opened.workspace.practice().step().set(Step.SECOND));
    robot.type(KeyCode.OPEN_BRACKET);
    until(() -> opened.workspace.clock().now() == DayTime.of(9, 46) - DayTime.SECOND);
    robot.interact(() -> opened.workspace.practice().step().set(Step.HIT));
    robot.type(KeyCode.OPEN_BRACKET);
    until(() -> opened.workspace.clock().now() < DayTime.of(9, 46) - DayTime.SECOND);
  }
}
