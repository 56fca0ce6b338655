package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.check.Check;
import kelvo.check.CheckRule;
import kelvo.desktop.morning.MorningStage;
import kelvo.desktop.rules.ChecksEditor;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.time.DayTime;
import kelvo.view.WallView;
import kelvo.watchlist.TheTen;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** A morning's triage in the real window, by keyboard alone. */
@ExtendWith(RealWindow.class)
class MorningByKeyboardTest {
  private static final long MORNING = DayTime.of(9, 20);

  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, MORNING);
  }

  @BeforeEach
  void ready() {
    until(
        () ->
            shown().isThere() && shown().moment() == MORNING && opened.morning().visibleRows() > 0);
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private ShownDay shown() {
    return opened.shown();
  }

  private String focus() {
    return opened.workspace.focus().symbol().get();
  }

  @Test
  void everyMatchIsDecidedOnWithoutTheMouse(FxRobot robot) {
    int toDecide = 6;
    robot.type(KeyCode.DIGIT1).type(KeyCode.DIGIT2);
    until(() -> opened.workspace.window().stage().get().equals(MorningStage.KIND));
    robot.type(KeyCode.J);
    for (int i = 0; i < toDecide; i++) {
      String symbol = focus();
      until(() -> shown().focus().equals(symbol));
      boolean fails = shown().checks().stream().anyMatch(c -> c.result() == Check.Result.FAIL);
      if (fails) {
        robot.type(KeyCode.D).type(KeyCode.DIGIT1);
      } else if (i % 3 == 2) {
        robot.type(KeyCode.W).type(KeyCode.DIGIT1);
      } else {
        robot.type(KeyCode.K).write("clean on all checks").type(KeyCode.ENTER);
      }
      until(() -> !focus().equals(symbol));
    }

    List<Decision> decided = List.copyOf(opened.workspace.book().get().decidedAt(MORNING).values());
    assertThat(decided).hasSize(toDecide);
    assertThat(decided)
        .filteredOn(d -> d.choice() == Choice.KEEP)
        .allMatch(d -> d.reason().equals("clean on all checks"));
    assertThat(decided)
        .filteredOn(d -> d.choice() == Choice.DROP)
        .allMatch(d -> !d.reason().isEmpty());
  }

  /**
   * Ten kept, an eleventh in the place of one of them, checks and wall looked at, the rail moved.
   */
  @Tag("proof")
  @Test
  void theWholeMorningUntilTheSecondLookTakesNoMouse(FxRobot robot) {
    robot.type(KeyCode.J);
    until(() -> !focus().isEmpty());
    for (int kept = 1; kept <= TheTen.DEFAULT_SIZE; kept++) {
      int ten = kept;
      robot.type(KeyCode.K).type(KeyCode.DIGIT1);
      until(() -> theTen().size() == ten);
    }
    String eleventh = focus();
    String second = theTen().get(1);
    assertThat(theTen()).doesNotContain(eleventh);
    robot.type(KeyCode.K).type(KeyCode.DIGIT2).type(KeyCode.DIGIT1);
    until(() -> theTen().contains(eleventh));
    assertThat(theTen()).hasSize(TheTen.DEFAULT_SIZE).doesNotContain(second);

    robot.type(KeyCode.C);
    until(() -> isShown(robot, ChecksEditor.class));
    robot.type(KeyCode.C).type(KeyCode.V);
    until(() -> opened.morning().chartsOnWall() > 20);
    robot.type(KeyCode.V);
    until(() -> !opened.workspace.window().wall().get() && !isShown(robot, ChecksEditor.class));

    for (int i = 0; i < 40 && !isDayRail(focusOwner()); i++) {
      robot.type(KeyCode.TAB);
    }
    assertThat(isDayRail(focusOwner())).isTrue();
    for (long quarter = 1; quarter <= 3; quarter++) {
      long wanted = MORNING + quarter * 15 * DayTime.MINUTE;
      robot.press(KeyCode.SHIFT).type(KeyCode.RIGHT).release(KeyCode.SHIFT);
      until(() -> shown().moment() == wanted);
    }
    robot.type(KeyCode.L);
    until(() -> secondLook(robot).matches("Morning gaps, 09:30 to 10:05: \\d+ fell out.*"));
    assertThat(theTen()).hasSize(TheTen.DEFAULT_SIZE);
  }

  private List<String> theTen() {
    return TheTen.at(opened.workspace.book().get(), opened.workspace.clock().now()).kept().stream()
        .map(Decision::symbol)
        .toList();
  }

  private static boolean isShown(FxRobot robot, Class<? extends Node> part) {
    return robot.lookup(part::isInstance).tryQuery().isPresent();
  }

  private static boolean isDayRail(Node node) {
    return String.valueOf(node.getAccessibleText()).startsWith("Day rail");
  }

  private Node focusOwner() {
    return opened.window.getScene().getFocusOwner();
  }

  private static String secondLook(FxRobot robot) {
    return robot.lookup(".title").queryAllAs(Label.class).stream()
        .map(Label::getText)
        .filter(text -> text.contains("fell out"))
        .findFirst()
        .orElse("");
  }

  @Tag("proof")
  @Test
  void sideBucketLevelsAndALineOfPlanComeByKeyboardToo(FxRobot robot) {
    robot.type(KeyCode.J);
    until(() -> !focus().isEmpty());
    String symbol = focus();
    robot.type(KeyCode.K).type(KeyCode.DIGIT1);
    until(() -> !focus().equals(symbol));
    robot
        .type(KeyCode.S)
        .type(KeyCode.B)
        .type(KeyCode.N)
        .write("short the lower high")
        .type(KeyCode.ENTER);
    robot.type(KeyCode.T).write("stop 9.5").type(KeyCode.ENTER);
    robot.type(KeyCode.T).write("8.20").type(KeyCode.ENTER);

    until(() -> opened.workspace.book().get().levelsOn(symbol, MORNING).size() == 2);
    Decision decided = opened.workspace.book().get().decisionOn(symbol, MORNING).orElseThrow();
    assertThat(decided.side()).isEqualTo(kelvo.scan.Side.DOWN);
    assertThat(decided.bucket()).isEqualTo(Decision.BUCKETS.get(1));
    assertThat(decided.plan()).isEqualTo("short the lower high");
    assertThat(opened.workspace.book().get().levelsOn(symbol, MORNING))
        .extracting(level -> level.kind().words())
        .containsExactlyInAnyOrder("stop", "by hand");
  }

  @Tag("proof")
  @Test
  void afterAKeepThePlanKeysNameTheSymbolThatWasKeptAndUndoNamesItToo(FxRobot robot) {
    robot.type(KeyCode.J);
    until(() -> !focus().isEmpty());
    String symbol = focus();
    robot.type(KeyCode.K).type(KeyCode.DIGIT1);
    until(() -> !focus().equals(symbol));
    assertThat(prompt(robot)).startsWith(symbol + ": ");

    robot.type(KeyCode.J);
    until(() -> !prompt(robot).contains(symbol));
    robot.type(KeyCode.U);
    until(() -> opened.workspace.window().action().get().equals("Undone: " + symbol + " kept"));
    assertThat(focus()).isEqualTo(symbol);
  }

  private static String prompt(FxRobot robot) {
    return robot.lookup("#plan-keys").queryAs(Label.class).getText();
  }

  @Tag("proof")
  @Test
  void aLevelFarFromThePriceAsksFirst(FxRobot robot) {
    robot.type(KeyCode.J);
    until(() -> !focus().isEmpty());
    String symbol = focus();
    robot.type(KeyCode.T).write("9000").type(KeyCode.ENTER);
    until(() -> labels(robot, symbol + ": 9000.00 is ") == 1);
    robot.type(KeyCode.DIGIT2);
    until(() -> opened.workspace.window().action().get().equals("No level was set on " + symbol));
    robot.type(KeyCode.T).write("9000").type(KeyCode.ENTER);
    until(() -> labels(robot, symbol + ": 9000.00 is ") == 1);
    robot.type(KeyCode.DIGIT1);

    until(() -> opened.workspace.book().get().levelsOn(symbol, MORNING).size() == 1);
  }

  private static long labels(FxRobot robot, String beginning) {
    return robot.lookup(".label").queryAllAs(Label.class).stream()
        .filter(label -> label.getText().startsWith(beginning))
        .count();
  }

  @Tag("proof")
  @Test
  void aSymbolIsFoundByAPartOfItsNameAndTheKeysCanBeAskedFor(FxRobot robot) {
    robot.type(KeyCode.SLASH).write("tidal arc").type(KeyCode.ENTER);
    until(() -> focus().equals("TIDARC"));

    robot.press(KeyCode.SHIFT).type(KeyCode.SLASH).release(KeyCode.SHIFT);
    until(() -> labels(robot, "keep, with a reason") == 1);
    robot.type(KeyCode.ESCAPE);
    until(() -> robot.lookup((Node n) -> isOpenOverlay(n)).tryQuery().isEmpty());

    robot.type(KeyCode.Q);
    until(() -> opened.workspace.window().action().get().startsWith("Q does nothing on Morning"));
  }

  private static boolean isOpenOverlay(Node node) {
    return node.getStyleClass().contains("overlay") && node.isVisible();
  }

  @Tag("proof")
  @Test
  void theTradersOwnChecksAreAsked() {
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          opened.workspace.focus().on("TIDARC");
          opened
              .workspace
              .desk()
              .ask(
                  List.of(
                      CheckRule.of(
                          "cheap",
                          "price at most 5",
                          "price above 8",
                          opened.workspace.desk().vocabulary())));
        });

    until(
        () ->
            !shown().focus().isEmpty()
                && shown().checks().stream().anyMatch(c -> c.name().equals("cheap")));
    Check cheap = shown().checks().getFirst();
    assertThat(cheap.result()).isEqualTo(Check.Result.FAIL);
    assertThat(cheap.detail()).startsWith("$8.");
  }

  @Tag("proof")
  @Test
  void theWallShowsTheMoversAndPaintsOnlyWhatChanged(FxRobot robot) {
    robot.type(KeyCode.V);
    until(() -> opened.morning().chartsOnWall() > 20);
    assertThat(opened.morning().chartsOnWall()).isLessThanOrEqualTo(WallView.MAX_CHARTS);
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.focus().on(shown().wall().getFirst().card().symbol()));

    until(() -> opened.morning().chartsPaintedLast() <= 2);
    robot.type(KeyCode.V);
    until(() -> !opened.workspace.window().wall().get());
  }

  @Tag("proof")
  @Test
  void theSecondLookTellsWhoFellOut(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.clock().seek(DayTime.of(10, 0)));
    until(() -> shown().moment() == DayTime.of(10, 0));
    robot.type(KeyCode.L);

    until(() -> secondLook(robot).matches("Morning gaps, 09:30 to 10:00: \\d+ fell out.*"));
  }
}
