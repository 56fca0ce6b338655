package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.workspace.Followed;
import kelvo.practice.Terms;
import kelvo.time.DayTime;
import kelvo.view.HitsView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** A data folder that goes away under the window, as with a disk that is pulled out. */
@ExtendWith(RealWindow.class)
class FolderGoneTest {
  private OpenedWindow opened;
  private Path away;

  @Start
  void start(Stage stage) throws IOException {
    opened = OpenedWindow.open(DemoCopy.makeWithDayBefore(), stage, DayTime.of(9, 45));
  }

  @BeforeEach
  void pullOut() throws IOException {
    until(() -> opened.shown().isThere());
    assertThat(opened.workspace.ledger().awaitSaved()).isTrue();
    away = opened.folder.resolveSibling(opened.folder.getFileName() + "-away");
    Files.move(opened.folder, away);
  }

  @AfterEach
  void putBack() throws IOException {
    Files.move(away, opened.folder);
    opened.close();
  }

  private void untilTold(String what) {
    until(
        () ->
            opened.workspace.troubles().newest().get().stream()
                .anyMatch(sentence -> sentence.startsWith(what)));
  }

  @Tag("proof")
  @Test
  void theEchoesSayThatTheyCouldNotBeFound(FxRobot robot) {
    until(
        () -> {
          Followed.once(
              opened.workspace.clock(),
              new HitsView(),
              hits -> opened.workspace.focus().symbol().set(hits.getLast().symbol()));
          return robot
              .lookup("#echoes")
              .<Label>query()
              .getText()
              .startsWith("tells how earlier hits");
        });
    robot.clickOn("Echoes");
    untilTold("Looking for echoes");
  }

  @Tag("proof")
  @Test
  void theCalendarAndTheChoiceOfAnotherDaySayThatTheyFailed(FxRobot robot) {
    robot.push(KeyCode.SHORTCUT, KeyCode.O);
    untilTold("Reading the calendar of sessions");
    robot.interact(() -> opened.workspace.practice().anotherDay(false, () -> {}));
    untilTold("Looking for another day");
  }

  @Test
  void anOrderGoesOnWithATickWhereTheUsualSpreadsCannotBeRead(FxRobot robot) {
    robot.interact(() -> opened.workspace.clock().seek(DayTime.FIRST));
    until(() -> opened.workspace.clock().now() == DayTime.FIRST);
    robot.interact(
        () -> opened.workspace.practice().place("TIDARC", 1, 100, new Terms.Market(), null));
    untilTold("Reading the usual spreads");
    robot.interact(() -> opened.workspace.clock().seek(DayTime.of(9, 45)));
    until(() -> !opened.workspace.practice().account().get().fills().isEmpty());
  }
}
