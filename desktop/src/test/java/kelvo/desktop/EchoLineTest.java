package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.stage.Stage;
import kelvo.desktop.research.ResearchStage;
import kelvo.desktop.workspace.Followed;
import kelvo.hit.Hit;
import kelvo.job.Progress;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Echoes;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.trade.Fees;
import kelvo.view.HitsView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** How earlier hits of a scan went, beside the symbol in focus. */
@ExtendWith(RealWindow.class)
class EchoLineTest {
  private OpenedWindow opened;

  @Start
  void start(Stage stage) throws IOException {
    opened = OpenedWindow.open(DemoCopy.makeWithDayBefore(), stage, DayTime.of(9, 45));
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private Hit aHit(FxRobot robot) {
    AtomicReference<List<Hit>> hits = new AtomicReference<>(List.of());
    until(
        () -> {
          robot.interact(() -> Followed.once(opened.workspace.clock(), new HitsView(), hits::set));
          return !hits.get().isEmpty();
        });
    return hits.get().getLast();
  }

  private String line(FxRobot robot) {
    return robot.lookup("#echoes").<Label>query().getText();
  }

  @Test
  void earlierHitsOfTheScanAreToldAndOpened(FxRobot robot) {
    until(() -> opened.shown().isThere());
    Hit hit = aHit(robot);
    robot.interact(() -> opened.workspace.focus().symbol().set(hit.symbol()));
    until(() -> line(robot).equals("tells how earlier hits of " + hit.scan() + " went"));

    robot.clickOn("Echoes");

    Scan scan =
        opened.workspace.desk().scans().stream()
            .filter(one -> one.name().equals(hit.scan()))
            .findFirst()
            .orElseThrow();
    Question question =
        new Question(
            scan,
            new CaseMoment.FirstHit(DayTime.FIRST),
            Direction.LONG,
            new Question.Costs(Fees.NONE, Question.Costs.USUAL_POSITION));
    List<ResearchCase> cases =
        opened
            .workspace
            .past()
            .cases(
                List.of(DemoCopy.DAY_BEFORE),
                question,
                opened.workspace.day(),
                one -> {},
                Progress.NONE);
    assertThat(cases).isNotEmpty();
    Echoes expected = Echoes.of(hit.scan(), hit.symbol(), cases, Held.HALF_HOUR);
    until(() -> line(robot).equals(expected.words()));

    robot.clickOn("#echoes");
    until(() -> opened.workspace.window().stage().get().equals(ResearchStage.KIND));
    ComboBox<?> asked = robot.lookup("#question .combo-box").query();
    until(() -> hit.scan().equals(asked.getValue()));
  }

  @Tag("proof")
  @Test
  void aSymbolWithoutAHitHasNone(FxRobot robot) {
    until(() -> opened.shown().isThere());
    robot.interact(() -> opened.workspace.focus().symbol().set("NOSUCH"));
    until(() -> line(robot).equals("no scan has found it yet"));
  }
}
