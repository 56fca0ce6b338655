package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.review.ReviewStage;
import kelvo.review.DayReview;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The Review stage in the real window: tables, totals, and what an earlier moment may know. */
@ExtendWith(ApplicationExtension.class)
class ReviewStageTest {
  private static final long AFTER = DayTime.of(16, 30);

  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, AFTER);
  }

  @BeforeEach
  void go(FxRobot robot) {
    until(() -> opened.shown().isThere());
    robot.type(KeyCode.DIGIT5);
    until(() -> opened.workspace.stage().get().equals(ReviewStage.KIND));
    until(() -> review() != null && review().until() == AFTER);
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private DayReview review() {
    return opened.workspace.review().review().get();
  }

  private static Grid<?> table(FxRobot robot, String name) {
    return robot
        .lookup(
            (Node n) ->
                n.getAccessibleRole() == AccessibleRole.TABLE_VIEW
                    && name.equals(n.getAccessibleText()))
        .query();
  }

  private static List<String> labels(FxRobot robot) {
    return robot.lookup((Node n) -> n instanceof Label).queryAllAs(Label.class).stream()
        .map(Label::getText)
        .toList();
  }

  @Test
  void eachTableShowsWhatTheReviewHas(FxRobot robot) {
    assertThat(table(robot, "Trades").rows()).isEqualTo(review().trades());
    robot.clickOn("Moves");
    assertThat(table(robot, "Moves").rows()).isEqualTo(review().moves().reversed());
    robot.clickOn("Scans");
    assertThat(table(robot, "Scans").rows()).isEqualTo(review().scans());
  }

  @Test
  void theTotalsSetTradesOffPlanApart(FxRobot robot) {
    long closed = review().all().trades();

    assertThat(labels(robot))
        .anyMatch(text -> text.startsWith("All trades: " + closed + " closed"))
        .anyMatch(text -> text.startsWith("Off plan: "));
  }

  @Test
  void choosingATradeOrAMovePutsItsSymbolInFocus(FxRobot robot) {
    ReviewedTrade last = review().trades().getLast();
    Grid<?> trades = table(robot, "Trades");
    WaitForAsyncUtils.waitForAsyncFx(5_000, trades::requestFocus);
    robot.type(KeyCode.END);
    until(() -> opened.workspace.focus().get().equals(last.trade().symbol()));

    robot.clickOn("Moves");
    ReviewedMove newest = review().moves().getLast();
    Grid<?> moves = table(robot, "Moves");
    WaitForAsyncUtils.waitForAsyncFx(5_000, moves::requestFocus);
    robot.type(KeyCode.HOME);
    until(() -> opened.workspace.focus().get().equals(newest.move().symbol()));
  }

  @Test
  void anEarlierMomentKnowsOnlyTheTradesUntilThen(FxRobot robot) {
    int all = review().trades().size();
    long early = DayTime.of(9, 40);
    WaitForAsyncUtils.waitForAsyncFx(5_000, () -> opened.workspace.seek(early));

    until(() -> review() != null && review().until() == early);
    assertThat(review().trades()).hasSizeLessThan(all);
    assertThat(review().trades()).allMatch(t -> t.trade().entryAt() <= early);
    assertThat(review().moves()).allMatch(m -> m.move().start() <= early);
    assertThat(table(robot, "Trades").rows()).isEqualTo(review().trades());
  }
}
