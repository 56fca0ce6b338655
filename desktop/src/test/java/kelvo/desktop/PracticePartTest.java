package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import kelvo.desktop.practice.DrillPane;
import kelvo.desktop.workspace.PracticeDesk;
import kelvo.practice.DrillCall;
import kelvo.practice.DrillScore;
import kelvo.practice.KeptCall;
import kelvo.practice.PaperBroker;
import kelvo.practice.Terms;
import kelvo.research.CaseMoment;
import kelvo.research.CaseTraits;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.setting.SettingCatalogue;
import kelvo.time.DayTime;
import kelvo.trade.Fees;
import kelvo.trade.Fill;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Orders on paper in the real window. */
@ExtendWith(RealWindow.class)
class PracticePartTest {
  private static final long OPENING = DayTime.of(9, 40);
  private static final String SYMBOL = "TIDARC";

  private OpenedWindow opened;
  private Stage stage;

  @Start
  void start(Stage shown) {
    stage = shown;
    opened = OpenedWindow.open(stage, OPENING);
  }

  @BeforeEach
  void focus(FxRobot robot) {
    until(() -> opened.shown().isThere());
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.focus().on(SYMBOL));
    until(() -> opened.shown().focus().equals(SYMBOL) && opened.shown().moment() == OPENING);
    robot.clickOn("Orders on paper");
    until(() -> text(robot, "#practice-held").equals("Nothing of TIDARC is held on paper."));
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private PracticeDesk desk() {
    return opened.workspace.practice();
  }

  private static String text(FxRobot robot, String id) {
    return robot.lookup(id).<Label>query().getText();
  }

  private static List<String> labels(FxRobot robot) {
    return robot
        .lookup((Node n) -> n instanceof Label && n.isVisible())
        .queryAllAs(Label.class)
        .stream()
        .map(Label::getText)
        .toList();
  }

  private static void enter(FxRobot robot, String field, String text) {
    robot.interact(() -> robot.lookup(field).<TextInputControl>query().setText(text));
  }

  private void goTo(long moment) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.clock().seek(moment));
    until(() -> opened.shown().moment() == moment);
  }

  private static void choose(FxRobot robot, String kind) {
    robot.interact(
        () ->
            robot
                .lookup(
                    (Node n) -> n instanceof ChoiceBox<?> b && b.getItems().contains("stop limit"))
                .<ChoiceBox<String>>query()
                .setValue(kind));
  }

  @Test
  void anOrderIsFilledOnceItHasArrivedAndIsKeptApart(FxRobot robot) {
    int real = opened.workspace.book().get().fills().size();
    robot.clickOn("Buy");
    until(() -> labels(robot).contains("Buy 100 at the market, on its way"));
    assertThat(desk().account().get().fills()).isEmpty();

    goTo(OPENING + DayTime.MINUTE);

    until(() -> text(robot, "#practice-held").equals("Long 100 TIDARC on paper"));
    List<Fill> fills = desk().account().get().fills();
    assertThat(fills).allMatch(fill -> fill.account().equals(PaperBroker.ACCOUNT));
    assertThat(fills).allMatch(fill -> fill.at() >= OPENING + 300 * DayTime.MILLISECOND);
    assertThat(opened.workspace.book().get().fills()).hasSize(real);
    assertThat(opened.workspace.ledger().awaitSaved()).isTrue();
    assertThat(opened.workspace.ledger().practice(opened.workspace.day()).fills()).isEqualTo(fills);
    assertThat(opened.workspace.ledger().practice(opened.workspace.day()).instructions())
        .hasSize(1);
  }

  @Tag("proof")
  @Test
  void withoutASymbolNoOrderIsSent(FxRobot robot) {
    robot.interact(
        () ->
            assertThatThrownBy(() -> desk().place("", 1, 100, new Terms.Market(), null))
                .hasMessage("no symbol is in focus"));
    assertThat(desk().account().get().onTheirWay()).isEmpty();
  }

  /**
   * An order of before the first quote needs the usual spreads, which are read behind the window.
   */
  @Tag("proof")
  @Test
  void aDayWithKeptOrdersStaysWhereItIsOpened(FxRobot robot) {
    goTo(DayTime.FIRST);
    robot.interact(() -> desk().place(SYMBOL, 1, 100, new Terms.Market(), null));
    assertThat(opened.workspace.ledger().awaitSaved()).isTrue();
    WaitForAsyncUtils.waitForAsyncFx(20_000, opened.workspace::close);

    robot.interact(() -> opened = OpenedWindow.open(opened.folder, stage, OPENING));
    until(() -> !desk().account().get().fills().isEmpty());

    assertThat(opened.workspace.clock().now()).isEqualTo(OPENING);
  }

  @Tag("proof")
  @Test
  void tradesOnPaperAreReviewedInPlaceOfTheRealOnes(FxRobot robot) {
    List<Fill> real = opened.workspace.book().get().fills();
    robot.clickOn("Buy");
    goTo(OPENING + DayTime.MINUTE);
    until(() -> !desk().account().get().fills().isEmpty());

    robot.interact(() -> robot.lookup("#practice-shown").<CheckBox>query().setSelected(true));

    until(() -> opened.workspace.book().get().fills().equals(desk().account().get().fills()));
    robot.interact(() -> robot.lookup("#practice-shown").<CheckBox>query().setSelected(false));
    until(() -> opened.workspace.book().get().fills().equals(real));
  }

  @Tag("proof")
  @Test
  void aBracketAndWhatIsWrongWithAnOrderAreSaid(FxRobot robot) {
    enter(robot, "#practice-stop", "9");
    enter(robot, "#practice-target", "8");
    robot.clickOn("Buy");
    until(
        () ->
            text(robot, "#practice-told")
                .equals(
                    "No order was sent: the stop of a bracket that buys lies below its target."));
    enter(robot, "#practice-shares", "many");
    robot.clickOn("Buy");
    until(() -> text(robot, "#practice-told").contains("found \"many\""));

    enter(robot, "#practice-shares", "50");
    enter(robot, "#practice-stop", "0.50");
    enter(robot, "#practice-target", "500");
    robot.clickOn("Buy");
    goTo(OPENING + DayTime.MINUTE);

    until(() -> labels(robot).contains("Sell 50 stop 0.5000"));
    assertThat(labels(robot)).contains("Sell 50 limit 500.00");
    assertThat(text(robot, "#practice-told")).isEmpty();
    robot.clickOn("Close it");
    goTo(OPENING + 2 * DayTime.MINUTE);
    until(() -> text(robot, "#practice-held").equals("Nothing of TIDARC is held on paper."));
    assertThat(desk().account().get().working()).isEmpty();
  }

  @Tag("proof")
  @Test
  void whoGoesBackBeginsAnewFromThere(FxRobot robot) {
    robot.clickOn("Buy");
    goTo(OPENING + DayTime.MINUTE);
    until(() -> !desk().account().get().fills().isEmpty());
    goTo(OPENING - DayTime.MINUTE);
    until(() -> desk().account().get().fills().isEmpty());

    choose(robot, "limit");
    enter(robot, "#practice-price", "0.01");
    robot.clickOn("Buy");
    goTo(OPENING + DayTime.MINUTE);

    until(() -> labels(robot).contains("Buy 100 limit 0.0100"));
    assertThat(desk().account().get().fills()).isEmpty();
    assertThat(opened.workspace.ledger().awaitSaved()).isTrue();
    assertThat(opened.workspace.ledger().practice(opened.workspace.day()).instructions())
        .hasSize(1);
    assertThat(opened.workspace.ledger().practice(opened.workspace.day()).fills()).isEmpty();
    robot.clickOn("Cancel");
    goTo(OPENING + 2 * DayTime.MINUTE);
    until(() -> desk().account().get().working().isEmpty());
  }

  @Tag("proof")
  @Test
  void theTimeThatAnOrderTakesIsASetting(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.settings().set(SettingCatalogue.PAPER_LATENCY, "9000"));
    robot.clickOn("Buy");
    goTo(OPENING + 8 * DayTime.SECOND);
    until(() -> labels(robot).contains("Buy 100 at the market, on its way"));
    assertThat(desk().account().get().fills()).isEmpty();
    goTo(OPENING + DayTime.MINUTE);
    until(() -> !desk().account().get().fills().isEmpty());
    assertThat(desk().account().get().fills())
        .allMatch(fill -> fill.at() >= OPENING + 9 * DayTime.SECOND);
  }

  @Tag("proof")
  @Test
  void withoutAnotherDayThatIsSaid(FxRobot robot) {
    robot.clickOn("Another day");

    until(() -> text(robot, "#practice-told").equals("There is no other day in this folder."));
  }

  @Tag("proof")
  @Test
  void aCallOfADrillOnThisDayIsReviewedWithTheTradesOnPaper(FxRobot robot) {
    robot.interact(
        () ->
            desk()
                .called(
                    new KeptCall(
                        opened.workspace.day(),
                        SYMBOL,
                        DayTime.of(9, 35),
                        DayTime.of(9, 36),
                        8,
                        0.02,
                        new DrillScore(
                            DrillCall.LONG, 0.05, 2.5, false, 0.01, DayTime.of(9, 39), 8.4))));
    robot.clickOn("#practice-shown");

    until(
        () ->
            opened.workspace.book().get().fillsUntil(OPENING).stream()
                .anyMatch(
                    fill -> fill.account().equals("drill 1") && fill.at() == DayTime.of(9, 39)));
    robot.clickOn("#practice-shown");
    until(
        () ->
            opened.workspace.book().get().fillsUntil(OPENING).stream()
                .noneMatch(fill -> fill.account().equals("drill 1")));
  }

  /** The calendar knows no such day, so that its reading throws. */
  @Tag("proof")
  @Test
  void aCaseOfADrillThatCannotBeReadIsToldAndTheNextOneComes(FxRobot robot) {
    List<ResearchCase> cases =
        Stream.of(LocalDate.MIN, opened.workspace.day()).map(PracticePartTest::on).toList();
    AtomicReference<DrillPane> drill = new AtomicReference<>();
    robot.interact(
        () -> drill.set(new DrillPane(opened.workspace, question(), Held.CLOSE, cases, () -> {})));

    until(() -> told(drill.get()).startsWith("This case could not be read."));
    robot.interact(() -> drill.get().key(enter()));
    until(() -> told(drill.get()).startsWith("It is 09:40."));
  }

  @Tag("proof")
  @Test
  void aDrillOfWhichNothingCouldBeReadSaysSo(FxRobot robot) {
    AtomicReference<DrillPane> drill = new AtomicReference<>();
    robot.interact(
        () ->
            drill.set(
                new DrillPane(
                    opened.workspace,
                    question(),
                    Held.CLOSE,
                    List.of(on(LocalDate.MIN)),
                    () -> {})));

    until(() -> told(drill.get()).startsWith("This case could not be read."));
    robot.interact(() -> drill.get().key(enter()));
    until(() -> told(drill.get()).startsWith("None of the cases could be read"));
  }

  private static KeyEvent enter() {
    return new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ENTER, false, false, false, false);
  }

  private Question question() {
    return new Question(
        opened.workspace.desk().scans().getFirst(),
        new CaseMoment.FirstHit(DayTime.FIRST),
        Direction.LONG,
        new Question.Costs(Fees.NONE, Question.Costs.USUAL_POSITION));
  }

  private static ResearchCase on(LocalDate date) {
    List<Double> results = Collections.nCopies(Held.values().length, 0.0);
    return new ResearchCase(
        date,
        SYMBOL,
        OPENING,
        OPENING + 1,
        8,
        false,
        results,
        results,
        results,
        List.of(),
        false,
        CaseTraits.of(Map.of()));
  }

  private static String told(DrillPane drill) {
    return ((Label) drill.lookup("#drill-told")).getText();
  }
}
