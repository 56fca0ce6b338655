package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.rules.CutCurveView;
import kelvo.desktop.workspace.WindowState;
import kelvo.explain.ScanWorkings;
import kelvo.explain.WhyNot;
import kelvo.hit.Hit;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.robot.Motion;
import org.testfx.util.WaitForAsyncUtils;

/** A scan worked on in the real window: rules typed, dragged, taken back, cloned and paired. */
@ExtendWith(RealWindow.class)
class ScanEditingTest {
  private static final long MORNING = DayTime.of(8, 58);

  private OpenedWindow opened;
  private Scan first;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, MORNING);
  }

  @BeforeEach
  void edit(FxRobot robot) {
    until(() -> shown().isThere() && shown().moment() == MORNING && opened.morning().fitting() > 0);
    first = scan();
    robot.type(KeyCode.J).type(KeyCode.E);
    until(() -> opened.workspace.window().workedRule().get() == 0);
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private ShownDay shown() {
    return opened.shown();
  }

  private Scan scan() {
    return opened.workspace.shownScan().get();
  }

  private ScanWorkings workings() {
    ScanWorkings workings = shown().workings();
    assertThat(workings).isNotNull();
    return workings;
  }

  @Test
  void aRuleAppliesAsItIsTypedWithCompletionAndUTakesItBack(FxRobot robot) {
    int before = opened.morning().fitting();
    robot.clickOn("#add-rule").write("spread").type(KeyCode.DOWN);
    robot.type(KeyCode.DOWN).type(KeyCode.ENTER);
    TextInputControl typed = (TextInputControl) opened.window.getScene().getFocusOwner();
    assertThat(typed.getText()).startsWith("spread");
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> typed.setText("spread % at most 0.3%"));

    until(() -> scan().rules().size() == first.rules().size() + 1);
    until(() -> opened.morning().fitting() < before);
    until(() -> workings().counts().size() > first.rules().size());
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.undoStack().undo());
    until(() -> scan().equals(first) && opened.morning().fitting() == before);
  }

  @Tag("proof")
  @Test
  void aRuleThatKeepsTheSymbolInFocusOutSaysWhenItLastHeld(FxRobot robot) {
    String symbol = opened.workspace.focus().symbol().get();
    Session session = opened.workspace.session();
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            opened
                .workspace
                .desk()
                .change(scan(), scan().withRules(List.of(rule("premarket trades at most 20")))));
    long last =
        WhyNot.explain(session, scan(), session.numberOf(symbol).orElseThrow(), MORNING)
            .getFirst()
            .lastPassed();

    assertThat(last).isPositive();
    until(
        () ->
            robot.lookup(".label").queryAllAs(Label.class).stream()
                .anyMatch(l -> l.getText().endsWith(", " + DayTime.minutes(last))));
  }

  private Rule rule(String sentence) {
    return RuleSentence.parse(sentence, opened.workspace.desk().vocabulary());
  }

  @Tag("proof")
  @Test
  void aMistypedRuleSaysWhatItExpectedAndTheLastOneHolds(FxRobot robot) {
    robot.clickOn("#add-rule").write("gap at lea");

    TextInputControl typed = (TextInputControl) opened.window.getScene().getFocusOwner();
    until(() -> typed.getStyleClass().contains("wrong"));
    assertThat(scan()).isEqualTo(first);
  }

  @Tag("proof")
  @Test
  void draggingTheBoundAlongItsCurveChangesTheRule(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.window().workedRule().set(2));
    until(() -> workings().curve() != null);
    CutCurveView curve = robot.lookup(n -> n instanceof CutCurveView).query();
    Rule before = scan().rules().get(2);
    robot.drag(curve).moveBy(40, 0).drop();

    until(() -> !scan().rules().get(2).equals(before));
    Rule after = scan().rules().get(2);
    assertThat(after.field()).isEqualTo(before.field());
    until(
        () ->
            workings().curve() != null && workings().curve().left() == opened.morning().fitting());
  }

  @Tag("proof")
  @Test
  void whatAnyOfLeavesIsCountedInTheRulesAndInTheCurve(FxRobot robot) {
    Scan grouped =
        scan().withAnyOf(List.of(List.of(rule("gap at least 9%"), rule("gap at most -9%"))));
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.desk().change(scan(), grouped));

    until(() -> workings().scan().equals(grouped));
    int left = workings().counts().getFirst().left();
    int leftOfRules = workings().counts().getLast().left();
    assertThat(leftOfRules).as("the rules are left with the group").isBetween(1, left - 1);
    until(() -> opened.morning().fitting() == leftOfRules);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.window().workedRule().set(2));
    until(() -> workings().curve() != null && workings().curve().left() == leftOfRules);
    until(
        () ->
            robot.lookup(".label").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().equals(left + " left")));
  }

  @Tag("proof")
  @Test
  void aPhaseIsGivenABoundOfItsOwnAndLosesItAgain(FxRobot robot) {
    int volume = 2;
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.window().workedRule().set(volume));
    assertThat(scan().rules().get(volume).steps()).hasSize(2);
    until(() -> phaseCell(robot, "midday").isPresent());
    robot.clickOn(phaseCell(robot, "midday").orElseThrow());

    until(() -> scan().rules().get(volume).steps().size() == 3);
    assertThat(scan().rules().get(volume).steps().getLast().phase()).isEqualTo("midday");
    until(() -> phaseCell(robot, "midday").filter(cell -> hasItsOwn(cell)).isPresent());
    robot.rightClickOn(phaseCell(robot, "midday").orElseThrow());
    until(() -> scan().equals(first));
  }

  private static boolean hasItsOwn(Node cell) {
    return !((Button) cell).getText().equals("·");
  }

  private static Optional<Node> phaseCell(FxRobot robot, String phase) {
    return robot
        .lookup((Node n) -> n instanceof Button && startsWith(n.getAccessibleText(), phase))
        .tryQuery();
  }

  private static boolean startsWith(String text, String start) {
    return text != null && text.startsWith(start + " ");
  }

  @Tag("proof")
  @Test
  void aCloneAPairAndARemovalAreTakenBack(FxRobot robot) {
    List<Scan> before = List.copyOf(opened.workspace.scans());
    robot.clickOn("Clone");
    until(() -> opened.workspace.scans().size() == before.size() + 1);
    assertThat(scan().rules()).isEqualTo(first.rules());
    robot.clickOn("Pair").clickOn("Two halves by price, at $10");
    until(() -> opened.workspace.scans().size() == before.size() + 3);
    assertThat(opened.workspace.scans().getLast().rules())
        .anyMatch(rule -> rule.sentence().contains("price at least 10"));
    robot.clickOn("Remove");
    until(() -> opened.workspace.scans().size() == before.size() + 2);

    for (int edit = 0; edit < 3; edit++) {
      WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.undoStack().undo());
    }
    until(() -> opened.workspace.scans().equals(before));
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.shownScan().set(first));
  }

  @Tag("proof")
  @Test
  void aScanGoesToAFileAndComesBackUnderAFreeName(@TempDir Path folder) {
    Path file = folder.resolve("shared.json");
    String told =
        WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.desk().share(scan(), file));
    assertThat(told).isEqualTo("Wrote " + first.name() + " to shared.json");
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.desk().take(file));

    until(() -> scan().name().equals(first.name() + " 2"));
    assertThat(scan().rules()).isEqualTo(first.rules());
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.undoStack().undo());
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.shownScan().set(first));
  }

  @Tag("proof")
  @Test
  void theRulesOfWhichOneMustHoldAreTypedToo(FxRobot robot) {
    TextField anyOf = robot.lookup((Node n) -> "Any of".equals(n.getAccessibleText())).query();
    assertThat(anyOf.getText()).isEqualTo("gap at least 4% or gap at most -4%");
    int before = opened.morning().fitting();

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> anyOf.setText("gap at least 9%"));

    until(() -> opened.morning().fitting() < before);
    assertThat(scan().anyOf()).hasSize(1);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> anyOf.setText("gap at lea"));
    until(() -> anyOf.getStyleClass().contains("wrong"));
    assertThat(scan().anyOf().getFirst().getFirst().sentence()).isEqualTo("gap at least 9%");
  }

  @Tag("proof")
  @Test
  void aFactThatIsPointedAtBecomesARule(FxRobot robot) {
    robot.rightClickOn("float turnover");
    robot.clickOn(
        (Node n) -> n instanceof Label l && l.getText().startsWith("float turnover at l"));

    until(() -> scan().rules().size() == first.rules().size() + 1);
    assertThat(scan().rules().getLast().field().words()).isEqualTo("float turnover");
    assertThat(opened.workspace.window().workedRule().get()).isEqualTo(first.rules().size());
  }

  @Tag("proof")
  @Test
  void aCellThatIsPointedAtMovesTheBoundOfItsRule(FxRobot robot) {
    List<Rule> rules = new ArrayList<>(first.rules());
    rules.add(rule("gap at least 0%"));
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.desk().change(scan(), scan().withRules(rules)));
    Grid<?> list = robot.lookup(n -> n.getAccessibleRole() == AccessibleRole.TABLE_VIEW).query();
    double gapColumn = 22 + 74 + 62 + 60 + 30;
    robot.rightClickOn(list.localToScreen(gapColumn, list.getHeight() / 3), Motion.DEFAULT);
    robot.clickOn((Node n) -> n instanceof Label l && l.getText().matches("gap at least [1-9].*"));

    until(() -> scan().rules().getLast().sentence().matches("gap at least [1-9].*"));
    assertThat(scan().rules()).hasSameSizeAs(rules);
  }

  @Tag("proof")
  @Test
  void contradictoryRulesAreNamed(FxRobot robot) {
    robot.clickOn("#add-rule").write("price below 0.5");

    until(() -> String.join("", workings().contradictions()).contains("price below 0.5"));
    assertThat(workings().contradictions())
        .singleElement()
        .asString()
        .contains("price between 1 and 500")
        .contains("never hold together");
  }

  @Tag("proof")
  @Test
  void anotherScanIsPlayedThroughTheSessionWhenNothingIsTypedAnyMore() {
    String name = first.name() + " 2";
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.desk().add(java.util.List.of(first.named(name))));

    until(() -> shown().hits().stream().map(Hit::scan).anyMatch(name::equals));
    long own = shown().hits().stream().filter(h -> h.scan().equals(name)).count();
    long others = shown().hits().stream().filter(h -> h.scan().equals(first.name())).count();
    assertThat(own).isEqualTo(others);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.desk().remove(scan()));
    until(() -> shown().hits().stream().map(Hit::scan).noneMatch(name::equals));
    assertThat(opened.workspace.window().workedRule().get()).isNotEqualTo(WindowState.NO_RULE);
  }

  @Tag("proof")
  @Test
  void anotherScanWithOtherColumnsIsListedWithItsOwn(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.shownScan().set(opened.workspace.scans().get(1)));

    until(() -> opened.morning().fitting() == shown().matches().fitting());
    until(() -> opened.morning().visibleRows() == shown().matches().rows().size());
  }

  @Tag("proof")
  @Test
  void aFieldOfTheTradersOwnIsMadeAskedForAndTakenAway(FxRobot robot) {
    TextField line = accessible(robot, "Own field");
    robot.clickOn(line).write("push = price - volume").type(KeyCode.ENTER);
    assertThat(line.getStyleClass()).contains("wrong");
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> line.setText("push = price - vwap"));
    robot.type(KeyCode.ENTER);
    until(() -> opened.workspace.desk().vocabulary().find("push").isPresent());

    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            opened
                .workspace
                .desk()
                .change(scan(), scan().withRules(List.of(rule("push at least $0.01")))));
    until(() -> workings().scan().equals(scan()));
    int above = workings().counts().getLast().left();
    assertThat(above).isPositive();

    robot.clickOn(line).write("push = ").type(KeyCode.ENTER);
    assertThat(line.getStyleClass()).as("a scan asks for it").contains("wrong");
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> line.setText("push = vwap - price"));
    robot.type(KeyCode.ENTER);
    until(() -> workings().scan().equals(scan()) && workings().counts().getLast().left() != above);
  }

  private static TextField accessible(FxRobot robot, String text) {
    return robot.lookup(node -> text.equals(node.getAccessibleText())).query();
  }
}
