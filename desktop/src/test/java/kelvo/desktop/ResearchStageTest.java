package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.research.ResearchStage;
import kelvo.desktop.workspace.OtherDay;
import kelvo.history.DailyBar;
import kelvo.job.Progress;
import kelvo.practice.Drill;
import kelvo.research.Answer;
import kelvo.research.AnswersBeside;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.Reach;
import kelvo.research.ReachFigures;
import kelvo.research.ResearchCase;
import kelvo.research.ResultBars;
import kelvo.research.TimeTo;
import kelvo.scan.Scan;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.Fees;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** A question of research in the real window, by keyboard. */
@ExtendWith(RealWindow.class)
class ResearchStageTest {
  private final AtomicReference<OtherDay> asked = new AtomicReference<>();
  private OpenedWindow opened;

  @Start
  void start(Stage stage) throws IOException {
    opened = OpenedWindow.open(DemoCopy.makeWithDayBefore(), stage, DayTime.of(8, 0));
    opened.workspace.navigation().onOpen(asked::set);
  }

  @BeforeEach
  void go(FxRobot robot) {
    until(() -> opened.shown().isThere());
    robot.type(KeyCode.DIGIT6);
    until(() -> opened.workspace.window().stage().get().equals(ResearchStage.KIND));
    untilAnswered(robot, answer(scan(0), Direction.LONG).cases().size());
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private Scan scan(int place) {
    return opened.workspace.desk().scans().get(place);
  }

  /** The same by the core. */
  private Answer answer(Scan scan, Direction direction) {
    Question question =
        new Question(
            scan,
            new CaseMoment.FirstHit(DayTime.FIRST),
            direction,
            new Question.Costs(Fees.NONE, Question.Costs.USUAL_POSITION));
    return Answer.of(
        question,
        Held.CLOSE,
        opened
            .workspace
            .past()
            .cases(
                List.of(DemoCopy.DAY_BEFORE),
                question,
                opened.workspace.day(),
                one -> {},
                Progress.NONE));
  }

  private static String text(FxRobot robot, String id) {
    return robot.lookup(id).<Label>query().getText();
  }

  private static Grid<?> cases(FxRobot robot) {
    return robot
        .lookup((Node n) -> n instanceof Grid<?> && "Cases".equals(n.getAccessibleText()))
        .query();
  }

  private static void untilAnswered(FxRobot robot, int expected) {
    until(() -> text(robot, ResearchStage.WORKING).isEmpty());
    until(() -> cases(robot).rows().size() == expected);
    until(() -> text(robot, "#listed-cases").startsWith(expected + " case"));
  }

  private void opens(FxRobot robot, KeyCode key, ResearchCase expected) {
    asked.set(null);
    robot.type(key, KeyCode.ENTER);
    until(() -> asked.get() != null);
    assertThat(asked.get())
        .isEqualTo(OtherDay.of(expected.date(), expected.at(), expected.symbol()));
  }

  @Test
  void theAnswerIsThatOfTheCoreAndItsBestAndWorstCaseOpen(FxRobot robot) {
    Answer expected = answer(scan(0), Direction.LONG);

    assertThat(List.<Object>copyOf(cases(robot).rows())).isEqualTo(expected.cases().reversed());
    assertThat(text(robot, "#edge")).isEqualTo(expected.words());
    Comparator<ResearchCase> byResult = Comparator.comparingDouble(one -> one.result(Held.CLOSE));
    List<ResearchCase> known =
        expected.cases().stream().filter(one -> !Double.isNaN(one.result(Held.CLOSE))).toList();
    opens(robot, KeyCode.B, known.stream().max(byResult).orElseThrow());
    opens(robot, KeyCode.W, known.stream().min(byResult).orElseThrow());
  }

  @Tag("proof")
  @Test
  void theWordsOfTheQuestionAreChosenByKeyboard(FxRobot robot) {
    robot.type(KeyCode.C);
    until(() -> robot.lookup("#question .combo-box").query().isFocused());
    robot.type(KeyCode.DOWN);
    untilAnswered(robot, answer(scan(1), Direction.LONG).cases().size());
    robot.type(KeyCode.TAB, KeyCode.TAB, KeyCode.TAB);
    robot.type(KeyCode.DOWN);
    ComboBox<?> side = robot.lookup("#question .combo-box").nth(3).query();
    until(() -> Objects.equals(side.getValue(), "sells short"));

    Answer expected = answer(scan(1), Direction.SHORT);
    until(() -> text(robot, "#edge").equals(expected.words()));
    untilAnswered(robot, expected.cases().size());
  }

  @Tag("proof")
  @Test
  void aCellListsItsCasesAndEscapeAllOfThem(FxRobot robot) {
    Answer all = answer(scan(0), Direction.LONG);
    ComboBox<String> cut =
        robot
            .lookup(
                (Node n) ->
                    n instanceof ComboBox<?>
                        && "By what the cases are told apart".equals(n.getAccessibleText()))
            .nth(0)
            .query();
    robot.interact(() -> cut.setValue(all.cells().getFirst().cut().words()));
    int expected = all.cells().getFirst().figures().cases();

    Node cells = robot.lookup("#left-cells").query();
    robot.clickOn(cells.localToScreen(40, 10));

    until(() -> text(robot, "#listed-cases").startsWith(expected + " case"));
    robot.type(KeyCode.ESCAPE);
    until(() -> text(robot, "#listed-cases").startsWith(all.cases().size() + " case"));
  }

  @Tag("proof")
  @Test
  void howSoonTheyWereAheadListsItsCases(FxRobot robot) {
    Answer all = answer(scan(0), Direction.LONG);
    ComboBox<String> reach = robot.lookup("#reach-row .combo-box").query();
    robot.interact(() -> reach.setValue(Reach.TWO.words()));
    ReachFigures figures = all.reach(Reach.TWO);
    TimeTo.First first =
        Arrays.stream(TimeTo.First.values())
            .filter(one -> !figures.of(one).isEmpty())
            .findFirst()
            .orElseThrow();

    robot.clickOn(figures.name(first) + ": " + figures.words(first));

    until(() -> text(robot, "#listed-cases").contains(": " + figures.name(first)));
    assertThat(List.<Object>copyOf(cases(robot).rows())).isEqualTo(figures.of(first).reversed());
  }

  @Tag("proof")
  @Test
  void aFieldOfOnesOwnTellsTheCasesApart(FxRobot robot) {
    robot.interact(() -> opened.workspace.desk().makeField("push = price / previous close"));
    robot.type(KeyCode.DIGIT1);
    robot.type(KeyCode.DIGIT6);
    ComboBox<String> cut =
        robot
            .lookup((Node n) -> n instanceof ComboBox<?> box && box.getItems().contains("weekday"))
            .nth(0)
            .query();

    until(() -> cut.getItems().contains("push"));
    robot.interact(() -> cut.setValue("push"));
    Node cells = robot.lookup("#left-cells").query();
    robot.clickOn(cells.localToScreen(40, 10));
    until(() -> text(robot, "#listed-cases").contains(": push "));
  }

  @Tag("proof")
  @Test
  void eachFigureListsTheCasesThatItIsMadeOf(FxRobot robot) {
    Answer all = answer(scan(0), Direction.LONG);
    List<Node> figures = List.copyOf(robot.lookup("#answer-figures").<HBox>query().getChildren());

    robot.clickOn(figures.get(0));
    until(() -> cases(robot).rows().size() == all.figures().won());
    assertThat(text(robot, "#listed-cases")).contains(": won");
    robot.clickOn(figures.get(3));
    until(() -> text(robot, "#listed-cases").contains("the best three"));
    assertThat(cases(robot).rows()).hasSize(Math.min(3, all.figures().won()));
    robot.clickOn(figures.get(1));
    until(() -> cases(robot).rows().size() == all.cases().size());
  }

  @Tag("proof")
  @Test
  void aBarAndTheShareAboveTheBarsListTheirCases(FxRobot robot) {
    ResultBars atClose = ResultBars.of(answer(scan(0), Direction.LONG).cases(), Held.CLOSE);
    Region bars = robot.lookup("#results-by-horizon").query();
    double left = 2 * bars.getWidth() / 4;

    robot.clickOn(bars.localToScreen(left + bars.getWidth() / 8, 8));
    until(() -> text(robot, "#listed-cases").contains(": " + atClose.wonWords()));
    assertThat(cases(robot).rows()).hasSize(atClose.won().size());

    int bar =
        IntStream.range(0, ResultBars.COUNT)
            .filter(i -> !atClose.bars().get(i).isEmpty())
            .findFirst()
            .orElseThrow();
    double step = (bars.getWidth() / 4 - 24) / ResultBars.COUNT;
    robot.clickOn(bars.localToScreen(left + 12 + (bar + 0.5) * step, 60));
    until(() -> text(robot, "#listed-cases").contains(": " + atClose.words(bar)));
    assertThat(cases(robot).rows()).hasSize(atClose.bars().get(bar).size());
  }

  private static String told(FxRobot robot) {
    return robot.lookup("#drill-told").<Label>query().getText();
  }

  @Tag("proof")
  @Test
  void tenAreShownBlindAndCalledByKeyboard(FxRobot robot) {
    int count = Math.min(Drill.USUAL, answer(scan(0), Direction.LONG).figures().cases());
    assertThat(count).isGreaterThan(2);
    List<KeyCode> calls = List.of(KeyCode.L, KeyCode.S, KeyCode.N);
    robot.type(KeyCode.D);
    for (int i = 0; i < count; i++) {
      String place = (i + 1) + " of " + count;
      until(() -> text(robot, "#drill-place").equals(place));
      until(() -> told(robot).startsWith("It is "));
      assertThat(told(robot)).contains("The stop is 2.0% away");
      answer(scan(0), Direction.LONG)
          .cases()
          .forEach(
              one -> {
                assertThat(told(robot)).doesNotContain(one.symbol());
                assertThat(told(robot)).doesNotContain(one.date().toString());
              });
      robot.type(calls.get(i % 3));
      until(() -> told(robot).endsWith("Enter goes on."));
      assertThat(told(robot))
          .contains(DemoCopy.DAY_BEFORE.toString())
          .contains(List.of("long made", "short made", "you stayed out").get(i % 3));
      robot.type(KeyCode.ENTER);
    }
    until(() -> text(robot, "#drill-place").equals("All " + count + " are called"));
    assertThat(told(robot))
        .contains("times the stop where you were in")
        .contains("In all " + count + " calls so far");

    robot.type(KeyCode.J, KeyCode.ENTER);
    until(() -> asked.get() != null);
    assertThat(asked.get().date()).isEqualTo(DemoCopy.DAY_BEFORE);
    robot.type(KeyCode.ESCAPE);
    until(() -> robot.lookup("#question").tryQuery().isPresent());
    assertThat(robot.lookup("#drill").tryQuery()).isEmpty();
  }

  @Tag("proof")
  @Test
  void theRecordStandsInPlaceOfTheResults(FxRobot robot) {
    Grid<?> cases = cases(robot);
    int count = cases.rows().size();
    robot.type(KeyCode.J);
    String results = cases.getAccessibleText();
    ResearchCase first = (ResearchCase) cases.rows().getFirst();
    DailyBar dayOne =
        Objects.requireNonNull(
                opened
                    .workspace
                    .past()
                    .sheets(List.of(first), opened.workspace.day())
                    .getFirst()
                    .day(1))
            .bar();

    robot.type(KeyCode.R);
    until(() -> String.valueOf(cases.getAccessibleText()).contains(Price.text(dayOne.low())));
    assertThat(cases.rows()).hasSize(count);
    robot.type(KeyCode.R);
    until(() -> Objects.equals(cases.getAccessibleText(), results));
  }

  @Tag("proof")
  @Test
  void theStopIsMovedBeforeTheCall(FxRobot robot) {
    robot.type(KeyCode.D);
    until(() -> told(robot).startsWith("It is "));
    robot.type(KeyCode.UP, KeyCode.UP, KeyCode.DOWN, KeyCode.UP);
    until(() -> told(robot).contains("The stop is 3.0% away"));
    robot.type(KeyCode.L);
    until(() -> told(robot).contains("times the stop"));
    robot.type(KeyCode.ESCAPE);
    until(() -> robot.lookup("#drill").tryQuery().isEmpty());
  }

  @Tag("proof")
  @Test
  void aQuestionIsKeptAndHeldAgainstAnother(FxRobot robot) throws IOException {
    ComboBox<String> kept = robot.lookup("#kept-questions").query();
    robot.interact(() -> kept.getEditor().setText("Gaps"));
    robot.clickOn("Keep");
    until(() -> kept.getItems().contains("Gaps"));
    robot.interact(
        () ->
            robot
                .lookup("#question .combo-box")
                .<ComboBox<String>>query()
                .setValue(scan(1).name()));
    untilAnswered(robot, answer(scan(1), Direction.LONG).cases().size());

    ComboBox<String> beside = robot.lookup("#beside-question").query();
    robot.interact(() -> beside.setValue("Gaps"));

    AnswersBeside expected =
        AnswersBeside.of(answer(scan(1), Direction.LONG), answer(scan(0), Direction.LONG));
    until(() -> text(robot, "#beside-words").equals("Beside \"Gaps\": " + expected.words()));
    robot.clickOn("only there: " + expected.onlySecond().size());
    until(() -> text(robot, "#listed-cases").contains("in \"Gaps\" only"));
    assertThat(cases(robot).rows()).hasSize(expected.onlySecond().size());
    robot.interact(() -> kept.setValue("Gaps"));
    untilAnswered(robot, answer(scan(0), Direction.LONG).cases().size());
    until(() -> text(robot, "#edge").equals(answer(scan(0), Direction.LONG).words()));
    until(() -> Files.exists(opened.folder.resolve("questions.json")));
    assertThat(opened.folder.resolve("questions.json")).content().contains("\"Gaps\"");

    robot.clickOn("Forget");
    until(() -> kept.getItems().isEmpty());
    until(() -> text(robot, "#beside-words").isEmpty());
  }
}
