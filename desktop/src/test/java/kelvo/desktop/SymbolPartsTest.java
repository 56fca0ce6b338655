package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.chart.RecentPrints;
import kelvo.desktop.grid.Grid;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.journal.Note;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.view.PrintsView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The parts about the symbol in focus, by mouse: facts and checks, prints, news, the plan. */
@ExtendWith(RealWindow.class)
class SymbolPartsTest {
  private static final long MORNING = DayTime.of(9, 20);
  private static final String SYMBOL = "TIDARC";

  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, MORNING);
  }

  @BeforeEach
  void focus() {
    until(() -> opened.shown().isThere());
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.focus().on(SYMBOL));
    until(() -> opened.shown().focus().equals(SYMBOL) && opened.shown().moment() == MORNING);
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private static List<String> labels(FxRobot robot) {
    return robot
        .lookup((Node n) -> n instanceof Label && n.isVisible())
        .queryAllAs(Label.class)
        .stream()
        .map(Label::getText)
        .toList();
  }

  private static void write(FxRobot robot, String prompt, String text) {
    robot.clickOn((Node n) -> n instanceof TextField f && prompt.equals(f.getPromptText()));
    robot.write(text).type(KeyCode.ENTER);
  }

  @Tag("proof")
  @Test
  void theHeaderSaysWhatItIsAndWhatItsNewsIs(FxRobot robot) {
    assertThat(labels(robot))
        .contains(SYMBOL)
        .anyMatch(text -> text.contains("Tidal Arc Power signs eleven-year contract"));

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.focus().find("glasbx"));
    until(() -> labels(robot).contains("No news names it"));
  }

  @Tag("proof")
  @Test
  void factsAndChecksAreThoseOfTheSymbol(FxRobot robot) {
    until(() -> labels(robot).contains("avg volume 20d"));
    assertThat(labels(robot))
        .contains("gap", "float", "previous close", "$6.20", "kind", "common stock")
        .anyMatch(text -> text.startsWith("✓"));
  }

  @Tag("proof")
  @Test
  void printsCarryTheSideOfTheQuoteAtWhichTheyTraded(FxRobot robot) {
    robot.clickOn("Prints");

    until(() -> labels(robot).stream().anyMatch(text -> text.startsWith("Bid ")));
    Grid<?> prints =
        robot
            .lookup(
                (Node n) ->
                    n.getAccessibleRole() == AccessibleRole.TABLE_VIEW
                        && String.valueOf(n.getAccessibleText()).equals("Prints"))
            .query();
    assertThat(prints.rows()).isEqualTo(shown().prints().prints()).isNotEmpty();
    assertThat(shown().prints().prints())
        .extracting(RecentPrints.Print::place)
        .contains(RecentPrints.Place.AT_ASK);
  }

  private PrintsView.PrintList shown() {
    int security = opened.workspace.session().numberOf(SYMBOL).orElseThrow();
    return opened.shown().look(new PrintsView(opened.workspace.session(), security));
  }

  @Tag("proof")
  @Test
  void newsShowsTheTextAndTheWordsThatDecided(FxRobot robot) {
    robot.clickOn("News");

    until(() -> labels(robot).stream().anyMatch(text -> text.contains("by its words: contract")));
    assertThat(labels(robot)).anyMatch(text -> text.contains("told holders of its shares"));
  }

  @Test
  void aPlanALevelAndANoteAreKeptAndALevelIsRemoved(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.trader().decide(SYMBOL, Choice.KEEP, "news"));
    robot.clickOn("Plan and notes");
    write(robot, "one line of plan", "buy the first pullback");
    write(robot, "price", "8.20");
    write(robot, "a note on this symbol, Enter keeps it", "spread is fine");

    until(() -> !notes().isEmpty());
    Decision decided = opened.workspace.book().get().decisionOn(SYMBOL, MORNING).orElseThrow();
    assertThat(decided.plan()).isEqualTo("buy the first pullback");
    assertThat(decided.side()).isEqualTo(Side.UP);
    assertThat(levels()).extracting(Level::price).containsExactly(82_000L);
    assertThat(levels().getFirst().kind()).isEqualTo(LevelKind.BY_HAND);
    assertThat(notes()).extracting(Note::text).containsExactly("spread is fine");

    robot.clickOn("Remove");
    until(() -> levels().isEmpty());
  }

  @Tag("proof")
  @Test
  void aLevelThatIsNoPriceSaysWhatWasExpected(FxRobot robot) {
    robot.clickOn("Plan and notes");
    write(robot, "price", "eight");

    until(() -> opened.workspace.window().action().get().contains("A level needs a price above 0"));
    assertThat(levels()).isEmpty();
  }

  private List<Level> levels() {
    return opened.workspace.book().get().levelsOn(SYMBOL, MORNING);
  }

  private List<Note> notes() {
    return opened.workspace.book().get().notesOn(SYMBOL, MORNING);
  }
}
