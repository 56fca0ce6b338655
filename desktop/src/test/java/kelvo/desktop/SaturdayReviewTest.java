package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.review.ReviewStage;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.OtherDay;
import kelvo.journal.HandMatch;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.review.DayReview;
import kelvo.review.DecisionReview;
import kelvo.review.ReviewedTrade;
import kelvo.review.TradeVerdict;
import kelvo.setting.SettingCatalogue;
import kelvo.sim.DemoSize;
import kelvo.sim.DemoTrader;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A Saturday's review in the real window, by keyboard: trades, notes, decisions, other sessions.
 */
@ExtendWith(RealWindow.class)
class SaturdayReviewTest {
  private static final long AFTER = DayTime.of(16, 30);

  private final AtomicReference<OtherDay> asked = new AtomicReference<>();
  private OpenedWindow opened;

  /** The day before has the same prints and the same fills here. */
  @Start
  void start(Stage stage) throws IOException {
    Path folder = DemoCopy.makeWithDayBefore();
    Path fills = folder.resolve("fills.csv");
    List<String> rows = Files.readAllLines(fills);
    Files.write(
        fills,
        Stream.concat(
                rows.stream(),
                rows.stream()
                    .skip(1)
                    .map(
                        row ->
                            row.replace(
                                DemoSize.SESSION.toString(), DemoCopy.DAY_BEFORE.toString())))
            .toList());
    try (Ledger ledger = Ledger.open(folder.resolve(OpenedDay.LEDGER))) {
      DemoTrader.prepare(ledger, DemoSize.SESSION);
    }
    opened = OpenedWindow.open(folder, stage, AFTER);
    opened.workspace.onOpen(asked::set);
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

  private static String text(FxRobot robot, String id) {
    return robot.lookup(id).<Label>query().getText();
  }

  private static Grid<?> table(FxRobot robot, String name) {
    return robot
        .lookup((Node n) -> n instanceof Grid<?> && name.equals(n.getAccessibleText()))
        .query();
  }

  @Test
  void aTradeIsWrittenAboutAndWhatWasWrittenIsInTheLedger(FxRobot robot) {
    robot.type(KeyCode.J);
    ReviewedTrade first = review().trades().getFirst();
    until(() -> opened.workspace.focus().get().equals(first.trade().symbol()));
    robot.type(KeyCode.N);
    until(() -> robot.lookup("#note-chosen").query().isFocused());
    robot.write("too early");
    robot.type(KeyCode.TAB);
    robot.write("gap, plan");
    robot.type(KeyCode.ESCAPE);

    Remark expected = new Remark(first.subject(), "too early", List.of("gap", "plan"));
    until(() -> opened.workspace.book().get().page().on(first.subject()).equals(expected));
    assertThat(opened.workspace.ledger().awaitSaved()).isTrue();
    assertThat(opened.workspace.ledger().day(DemoSize.SESSION).page().on(first.subject()))
        .isEqualTo(expected);
    until(() -> review().trades().getFirst().context().tags().equals(List.of("gap", "plan")));
  }

  @Test
  void aMatchByHandCountsAtOnceAndIsTakenBack(FxRobot robot) {
    ReviewedTrade onAHit =
        review().trades().stream()
            .filter(trade -> trade.verdict() == TradeVerdict.ON_A_HIT)
            .findFirst()
            .orElseThrow();
    WaitForAsyncUtils.waitForAsyncFx(
        5_000,
        () ->
            opened
                .workspace
                .trader()
                .match(new HandMatch(onAHit.subject(), HandMatch.Says.OFF_PLAN, 0)));
    until(() -> verdictOf(onAHit) == TradeVerdict.OFF_PLAN);

    WaitForAsyncUtils.waitForAsyncFx(5_000, opened.workspace::undo);
    until(() -> verdictOf(onAHit) == TradeVerdict.ON_A_HIT);
  }

  private TradeVerdict verdictOf(ReviewedTrade trade) {
    return review().trades().stream()
        .filter(one -> one.subject().equals(trade.subject()))
        .findFirst()
        .orElseThrow()
        .verdict();
  }

  @Test
  void otherSessionsAreReviewedTogetherAndOneIsOpenedAtTheSameTimeOfDay(FxRobot robot) {
    double ofToday = review().all().net();
    robot.type(KeyCode.S);
    until(() -> robot.lookup("#track-record").tryQuery().isPresent());
    until(() -> text(robot, "#net").equals(dollars(2 * ofToday)));

    robot.clickOn("#equity");
    until(() -> text(robot, "#picked-trade").contains(", "));
    robot.clickOn("day");
    until(() -> text(robot, "#net").equals(dollars(ofToday)));
    robot.clickOn("all");
    until(() -> text(robot, "#net").equals(dollars(2 * ofToday)));

    robot.type(KeyCode.J);
    until(() -> text(robot, "#picked-trade").equals("The session of " + DemoCopy.DAY_BEFORE));
    robot.type(KeyCode.ENTER);
    until(() -> asked.get() != null);
    assertThat(asked.get().date()).isEqualTo(DemoCopy.DAY_BEFORE);
    assertThat(asked.get().moment()).isEqualTo(opened.workspace.now());

    robot.type(KeyCode.S);
    until(() -> robot.lookup("#track-record").tryQuery().isEmpty());
    until(() -> text(robot, "#net").equals(dollars(ofToday)));
  }

  @Test
  void whatCannotBeReviewedIsToldAndNothingGoesOnWaiting(FxRobot robot) throws Exception {
    assertThat(opened.workspace.ledger().awaitSaved()).isTrue();
    try (Connection other =
            DriverManager.getConnection(
                "jdbc:sqlite:" + opened.folder.resolve(OpenedDay.LEDGER).toAbsolutePath());
        Statement statement = other.createStatement()) {
      statement.execute("alter table remark rename to gone");
    }
    robot.type(KeyCode.S);

    until(
        () ->
            opened.workspace.troubles().newest().get().stream()
                .anyMatch(trouble -> trouble.startsWith("Reading the calendar went wrong")));
    until(() -> text(robot, "#reviewing-sessions").isEmpty());
  }

  @Test
  void ownRulesAreWrittenAndKeptOrBroken(FxRobot robot) throws Exception {
    robot.type(KeyCode.N);
    until(() -> robot.lookup("Change the rules").tryQuery().isPresent());
    robot.clickOn("Change the rules");
    TextArea rules = robot.lookup("#own-rules").query();
    WaitForAsyncUtils.waitForAsyncFx(5_000, () -> rules.setText("No trade at noon.\n\n"));
    robot.clickOn("Change the rules");
    until(() -> answer(robot).isPresent());

    WaitForAsyncUtils.waitForAsyncFx(
        5_000, () -> answer(robot).orElseThrow().setValue(RuleKept.Answer.BROKEN));
    until(() -> kept() == RuleKept.Answer.BROKEN);
    WaitForAsyncUtils.waitForAsyncFx(5_000, opened.workspace::undo);
    until(() -> kept() == RuleKept.Answer.OPEN);
    until(() -> Files.exists(opened.folder.resolve("own-rules.json")));
    assertThat(Files.readString(opened.folder.resolve("own-rules.json")))
        .contains("[ \"No trade at noon.\" ]");
  }

  private RuleKept.Answer kept() {
    return opened.workspace.book().get().page().answerTo("No trade at noon.");
  }

  @SuppressWarnings("unchecked")
  private static Optional<ComboBox<RuleKept.Answer>> answer(FxRobot robot) {
    return robot
        .lookup(
            (Node n) ->
                n instanceof ComboBox<?> && "No trade at noon.".equals(n.getAccessibleText()))
        .tryQueryAs(ComboBox.class)
        .map(box -> (ComboBox<RuleKept.Answer>) box);
  }

  private static String dollars(double net) {
    return Numbers.money(net);
  }

  @Test
  void everyTabOpensWithItsKeyAndTheBoundsCountAtOnce(FxRobot robot) {
    robot.type(KeyCode.D);
    until(() -> robot.lookup((Node n) -> n == table(robot, "Decided")).tryQuery().isPresent());
    until(() -> !table(robot, "Decided").rows().isEmpty());
    assertThat(table(robot, "Decided").rows())
        .isEqualTo(
            DecisionReview.of(
                opened.workspace.session(),
                opened.workspace.book().get(),
                opened.workspace.lists().lists().get(),
                review()));
    robot.type(KeyCode.M);
    until(() -> robot.lookup((Node n) -> n == table(robot, "Measures")).tryQuery().isPresent());
    robot.type(KeyCode.B);
    long late = late();
    WaitForAsyncUtils.waitForAsyncFx(
        5_000,
        () -> {
          opened.workspace.settings().set(SettingCatalogue.LATE_CHASE, "90");
          opened.workspace.settings().set(SettingCatalogue.LATE_AFTER, "120");
        });
    until(() -> late() < late);
  }

  private long late() {
    return review().trades().stream().filter(trade -> trade.verdict() == TradeVerdict.LATE).count();
  }
}
