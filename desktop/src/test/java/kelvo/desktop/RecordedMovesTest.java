package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.rules.RuleCurve;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** What recorded sessions say beside the cut curve; the recorded one has the same prints here. */
@ExtendWith(RealWindow.class)
class RecordedMovesTest {
  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    Path folder = DemoCopy.makeWithDayBefore();
    opened = OpenedWindow.open(folder, stage, DayTime.of(8, 58));
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private static String said(FxRobot robot) {
    RuleCurve curve = robot.lookup((javafx.scene.Node n) -> n instanceof RuleCurve).query();
    List<String> texts =
        curve.lookupAll(".label").stream()
            .filter(n -> n instanceof Label)
            .map(n -> ((Label) n).getText())
            .toList();
    return String.join("\n", texts);
  }

  @Test
  void theyAreReadBehindTheWindowAndCountedAlongTheCurve(FxRobot robot) {
    until(() -> opened.shown().isThere());
    robot.type(KeyCode.J).type(KeyCode.E);
    until(() -> opened.workspace.window().workedRule().get() >= 0);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.window().workedRule().set(3));
    until(() -> said(robot).contains("in one recorded session"));
    String first = said(robot);

    Scan scan = opened.workspace.shownScan().get();
    List<Rule> changed = new ArrayList<>(scan.rules());
    changed.set(3, RuleSentence.parse("premarket trades at least 2000", Vocabulary.DEFAULT));
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.desk().change(scan, scan.withRules(changed)));
    until(() -> said(robot).contains("in one recorded session") && !said(robot).equals(first));
    assertThat(first).contains("from 08:58 to the close");
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.undoStack().undo());
  }

  @Tag("proof")
  @Test
  void sessionsThatComeLaterAreFound(FxRobot robot) throws IOException {
    Path trades = opened.folder.resolve("sessions/" + DemoCopy.DAY_BEFORE + "/trades.csv.zst");
    Path away = opened.folder.resolve("trades");
    Files.move(trades, away);
    until(() -> opened.shown().isThere());
    robot.type(KeyCode.J).type(KeyCode.E);
    until(() -> opened.workspace.window().workedRule().get() >= 0);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.window().workedRule().set(3));
    until(() -> said(robot).contains("No earlier session is recorded in this folder."));

    Files.move(away, trades);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.window().workedRule().set(2));

    until(() -> said(robot).contains("in one recorded session"));
  }

  @Tag("proof")
  @Test
  void aFolderThatIsGoneIsTold(FxRobot robot) throws IOException {
    until(() -> opened.shown().isThere());
    assertThat(opened.workspace.ledger().awaitSaved()).isTrue();
    Path away = opened.folder.resolveSibling(opened.folder.getFileName() + "-away");
    Files.move(opened.folder, away);
    try {
      robot.type(KeyCode.J).type(KeyCode.E);
      until(() -> opened.workspace.window().workedRule().get() >= 0);
      WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.window().workedRule().set(3));

      until(
          () ->
              opened
                  .workspace
                  .window()
                  .action()
                  .get()
                  .startsWith("Recorded sessions cannot be read: "));
    } finally {
      Files.move(away, opened.folder);
    }
  }
}
