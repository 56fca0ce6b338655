package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.data.scanfile.UniverseTable;
import kelvo.desktop.universe.UniverseStage;
import kelvo.time.DayTime;
import kelvo.universe.Membership;
import kelvo.universe.Universe;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The Universe stage in the real window. */
@ExtendWith(RealWindow.class)
class UniverseStageTest {
  private static final long MORNING = DayTime.of(8, 58);

  private final AtomicInteger dayReadAgain = new AtomicInteger();
  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, MORNING);
    opened.workspace.navigation().onReadAgain(dayReadAgain::incrementAndGet);
  }

  @BeforeEach
  void go(FxRobot robot) {
    until(() -> shown().isThere() && shown().moment() == MORNING);
    robot.type(KeyCode.DIGIT1);
    until(() -> opened.workspace.window().stage().get().equals(UniverseStage.KIND));
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private ShownDay shown() {
    return opened.shown();
  }

  private Universe universe() {
    return opened.workspace.desk().universes().getFirst();
  }

  private Membership members() {
    return Membership.of(universe(), opened.workspace.session());
  }

  @Tag("proof")
  @Test
  void pastedSymbolsAreExcludedAndAddedByHand(FxRobot robot) {
    robot.clickOn("By hand").clickOn("#pasted-symbols").write("orbtow; $KELPOR and NOSUCH");
    robot.clickOn("Exclude");

    until(() -> universe().excluded().size() == 2);
    assertThat(universe().excluded()).containsExactlyInAnyOrder("ORBTOW", "KELPOR");
    assertThat(opened.workspace.window().action().get()).contains("NOSUCH");
    int orbtow = opened.workspace.session().numberOf("ORBTOW").orElseThrow();
    assertThat(members().whyOut(orbtow)).isEqualTo("excluded by hand");

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.undoStack().undo());
    until(() -> universe().excluded().isEmpty());
  }

  @Tag("proof")
  @Test
  void scansOfAUniverseFindNobodyWhoIsOut(FxRobot robot) {
    robot.clickOn("To every scan");
    until(() -> opened.workspace.shownScan().get().universe().equals(universe()));
    robot.clickOn("By hand").clickOn("#pasted-symbols").write("TIDARC");
    robot.clickOn("Exclude");

    until(
        () ->
            !shown().matches().rows().isEmpty()
                && shown().matches().rows().stream()
                    .noneMatch(
                        row ->
                            opened
                                .workspace
                                .session()
                                .security(row.match().security())
                                .symbol()
                                .equals("TIDARC")));
    until(() -> shown().hits().stream().noneMatch(hit -> hit.symbol().equals("TIDARC")));
  }

  @Tag("proof")
  @Test
  void aTableWrittenForASpreadsheetSaysTheSameWhenItComesBack() throws Exception {
    Universe changed =
        universe().excluding(java.util.Set.of("ORBTOW")).adding(java.util.Set.of("MARKTA"));
    Path file = Files.createTempFile("universe", ".csv");
    UniverseTable.write(
        file,
        changed,
        Membership.of(changed, opened.workspace.session()),
        opened.workspace.session());

    assertThat(UniverseTable.with(universe(), file)).isEqualTo(changed);
    assertThat(Files.readString(file)).contains("ORBTOW", "excluded by hand");
  }

  @Tag("proof")
  @Test
  void aFloatIsPutRightWithItsDateAndSource(FxRobot robot) throws Exception {
    Path figures = opened.folder.resolve("figures.csv");
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.focus().on("TIDARC"));
    robot.clickOn("Figures");
    type(robot, "Shares", "8.4M");
    type(robot, "Date of the figure", "2031-02-28");
    type(robot, "Source", "annual report");
    robot.clickOn("Put right");

    until(() -> opened.workspace.window().action().get().startsWith("Put right: TIDARC float"));
    until(() -> Files.exists(figures) && Files.readString(figures).contains("annual report"));
    assertThat(Files.readString(figures)).contains("TIDARC", "2031-02-28");
    until(() -> dayReadAgain.get() == 1);

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.window.shown().node().requestFocus());
    robot.type(KeyCode.J).clickOn("Take back");
    until(() -> dayReadAgain.get() == 2);
    assertThat(Files.readAllLines(figures)).hasSize(1);
    assertThat(opened.workspace.desk().figures().get()).isEmpty();
  }

  @Test
  void eachRuleSaysWhatItIsOfTheSymbolInFocus(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.focus().on("MARKTA"));

    until(
        () ->
            robot.lookup(".label").queryAllAs(Label.class).stream()
                .anyMatch(label -> label.getText().equals("✗ fund")));
  }

  @Tag("proof")
  @Test
  void aFigureThatCannotBeReadSaysWhatWasExpected(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.focus().on("TIDARC"));
    robot.clickOn("Figures");
    type(robot, "Shares", "lots");
    robot.clickOn("Put right");
    until(() -> opened.workspace.window().action().get().contains("expected shares such as 8.4M"));
    type(robot, "Shares", "8.4M");
    type(robot, "Date of the figure", "28 February");
    robot.clickOn("Put right");
    until(() -> opened.workspace.window().action().get().contains("28 February"));

    assertThat(opened.folder.resolve("figures.csv")).doesNotExist();
  }

  private static void type(FxRobot robot, String field, String text) {
    TextField into =
        robot
            .lookup((Node n) -> n instanceof TextField && field.equals(n.getAccessibleText()))
            .query();
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> into.setText(text));
  }
}
