package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.nio.file.Files;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.fill.FillPart;
import kelvo.data.folder.DataFolder;
import kelvo.data.ledger.KeptFills;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.review.ReviewStage;
import kelvo.desktop.workspace.LookedAt;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.hit.Hit;
import kelvo.job.Progress;
import kelvo.review.DayReview;
import kelvo.review.Move;
import kelvo.review.MoveGroup;
import kelvo.review.MoveVerdict;
import kelvo.review.ReviewLane;
import kelvo.review.ReviewedMove;
import kelvo.review.ReviewedTrade;
import kelvo.review.TradeGroup;
import kelvo.review.TradeGrouping;
import kelvo.review.TradeVerdict;
import kelvo.review.VerdictText;
import kelvo.review.WhatIf;
import kelvo.review.WhyItHit;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.Trade;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The Review stage in the real window: tables, totals, and what an earlier moment may know. */
@ExtendWith(RealWindow.class)
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
    until(() -> opened.workspace.window().stage().get().equals(ReviewStage.KIND));
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
    assertThat(table(robot, "Scans").rows())
        .isEqualTo(review().scans())
        .hasSize(opened.workspace.scans().size());
  }

  @Tag("proof")
  @Test
  void theTradesAccountForEveryFillAndEveryCent() {
    List<Fill> fills = opened.workspace.book().get().fills();
    List<Trade> trades = review().trades().stream().map(ReviewedTrade::trade).toList();

    assertThat(fills).hasSizeGreaterThan(8);
    assertThat(sum(trades.stream().flatMap(t -> t.fills().stream()).map(Fill::quantity)))
        .isEqualByComparingTo(sum(fills.stream().map(Fill::quantity)));
    assertThat(trades).allMatch(Trade::closed);
    BigDecimal cash =
        sum(
            fills.stream()
                .map(
                    f ->
                        f.quantity()
                            .multiply(f.price())
                            .multiply(BigDecimal.valueOf(-f.side().sign()))
                            .subtract(f.fee())));
    assertThat(sum(trades.stream().map(Trade::result))).isEqualByComparingTo(cash);
    assertThat(review().all().trades()).isEqualTo(trades.size());
  }

  private static BigDecimal sum(Stream<BigDecimal> numbers) {
    return numbers.reduce(BigDecimal.ZERO, BigDecimal::add);
  }

  @Tag("proof")
  @Test
  void eachMoveHasOneVerdictAndEachOnPlanTradeItsMove() {
    List<ReviewedMove> moves = review().moves();
    Set<Move> traded =
        review().trades().stream()
            .map(ReviewedTrade::move)
            .filter(Objects::nonNull)
            .collect(Collectors.toSet());

    assertThat(moves).hasSizeGreaterThan(100);
    assertThat(moves).extracting(ReviewedMove::move).containsAll(traded).doesNotHaveDuplicates();
    assertThat(moves)
        .filteredOn(m -> m.verdict() == MoveVerdict.TAKEN || m.verdict() == MoveVerdict.LATE)
        .extracting(ReviewedMove::move)
        .containsExactlyInAnyOrderElementsOf(traded);
    assertThat(review().trades())
        .filteredOn(t -> t.verdict() == TradeVerdict.OFF_PLAN)
        .isNotEmpty()
        .allMatch(t -> t.move() == null);
  }

  @Tag("proof")
  @Test
  void theTotalsSetTradesOffPlanApart(FxRobot robot) {
    assertThat(labels(robot))
        .contains(review().figures().onHit().trades() + " of " + review().all().trades())
        .anyMatch(text -> text.startsWith("All trades: " + review().all().wins() + " won"))
        .anyMatch(text -> text.startsWith("Off plan or held overnight: "));
  }

  @Tag("proof")
  @Test
  void aTradeIsSeenCloseUpWithItsVerdictAndRule(FxRobot robot) {
    ReviewedTrade first = review().trades().getFirst();
    VerdictText text = VerdictText.of(first, opened.workspace.review().settings());
    robot.type(KeyCode.J);

    until(
        () ->
            labels(robot)
                .contains(first.trade().symbol() + ": " + text.verdict() + ", " + text.because()));
    assertThat(labels(robot)).contains(text.rule(), DayTime.seconds(first.trade().entryAt()));
    Hit hit = first.move().hits().getFirst();
    Scan scan =
        opened.workspace.scans().stream()
            .filter(one -> one.name().equals(hit.scan()))
            .findFirst()
            .orElseThrow();
    assertThat(labels(robot)).contains("It was hit by " + WhyItHit.words(hit, scan) + ".");
    until(() -> !robot.lookup("#sooner").<Label>query().getText().isEmpty());
    assertThat(opened.workspace.focus().lookedAt().get())
        .isEqualTo(new LookedAt(first.trade().symbol(), first.trade().entryAt()));
  }

  @Tag("proof")
  @Test
  void aClickOnALaneShowsWhatMattersMostInIt(FxRobot robot) {
    ReviewLane second = ReviewLane.of(review(), ReviewLane.Order.VERDICT).get(1);
    Node lanes = robot.lookup("#lanes").query();
    until(() -> String.valueOf(lanes.getAccessibleText()).startsWith("Lanes by verdict"));
    robot.clickOn(place(lanes, 16 + 30 + 15));
    until(() -> opened.workspace.focus().symbol().get().equals(second.symbol()));

    robot.clickOn("time");
    ReviewLane earliest = ReviewLane.of(review(), ReviewLane.Order.TIME).getFirst();
    until(() -> String.valueOf(lanes.getAccessibleText()).startsWith("Lanes by time"));
    robot.clickOn(place(lanes, 16 + 15));
    until(() -> opened.workspace.focus().symbol().get().equals(earliest.symbol()));
  }

  /** Where it is once everything has been laid out. */
  private static Point2D place(Node lanes, double y) {
    return WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          lanes.getScene().getRoot().applyCss();
          lanes.getScene().getRoot().layout();
          return lanes.localToScreen(30, y);
        });
  }

  @Tag("proof")
  @Test
  void choosingATradeOrAMovePutsItsSymbolInFocus(FxRobot robot) {
    ReviewedTrade last = review().trades().getLast();
    Grid<?> trades = table(robot, "Trades");
    WaitForAsyncUtils.waitForAsyncFx(20_000, trades::requestFocus);
    robot.type(KeyCode.END);
    until(() -> opened.workspace.focus().symbol().get().equals(last.trade().symbol()));

    robot.clickOn("Moves");
    ReviewedMove newest = review().moves().getLast();
    Grid<?> moves = table(robot, "Moves");
    WaitForAsyncUtils.waitForAsyncFx(20_000, moves::requestFocus);
    robot.type(KeyCode.HOME);
    until(() -> opened.workspace.focus().symbol().get().equals(newest.move().symbol()));
  }

  @Tag("proof")
  @Test
  void anEarlierMomentKnowsOnlyTheTradesUntilThen(FxRobot robot) {
    int all = review().trades().size();
    long early = DayTime.of(9, 40);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.clock().seek(early));

    until(() -> review() != null && review().until() == early);
    assertThat(review().trades()).hasSizeLessThan(all);
    assertThat(review().trades()).allMatch(t -> t.trade().entryAt() <= early);
    assertThat(review().moves()).allMatch(m -> m.move().start() <= early);
    assertThat(table(robot, "Trades").rows()).isEqualTo(review().trades());
  }

  @Tag("proof")
  @Test
  void aScanIsTriedWithOtherRulesAndTheChangeIsKeptWithOneKey(FxRobot robot) {
    Scan was = opened.workspace.desk().scans().getFirst();
    robot.type(KeyCode.W);
    TextArea last = sentence(robot, was.rules().getLast().sentence());
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> last.setText("premarket trades at least 3"));
    until(() -> table(robot, "What if").rows().size() >= 2);

    WhatIf expected =
        WhatIf.of(
            opened.workspace.session(),
            was,
            changed(was),
            opened.workspace.book().get(),
            opened.workspace.review().settings(),
            opened.workspace.clock().now(),
            Progress.NONE);
    assertThat(table(robot, "What if").rows()).isEqualTo(expected.lines());
    assertThat(labels(robot)).contains(expected.words());
    assertThat(opened.workspace.desk().scans()).contains(was);

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> table(robot, "What if").requestFocus());
    robot.type(KeyCode.K);
    until(() -> opened.workspace.desk().scans().contains(changed(was)));
  }

  private static Scan changed(Scan was) {
    List<Rule> rules = new ArrayList<>(was.rules());
    rules.set(
        rules.size() - 1,
        RuleSentence.parse("premarket trades at least 3", Vocabulary.of(List.of())));
    return was.withRules(rules);
  }

  private static TextArea sentence(FxRobot robot, String text) {
    return robot
        .lookup((Node n) -> n instanceof TextArea area && area.getText().equals(text))
        .query();
  }

  @Tag("proof")
  @Test
  void aMoverThatNoScanFoundSaysWhyAndTheSmallestChangeIsTried(FxRobot robot) {
    robot.type(KeyCode.Y);
    until(() -> !table(robot, "Movers that no scan found").rows().isEmpty());
    robot.type(KeyCode.J);
    until(() -> labels(robot).contains("Why not " + opened.workspace.focus().symbol().get() + "?"));
    Set<String> hit =
        opened.workspace.clock().hits().stream().map(Hit::symbol).collect(Collectors.toSet());
    assertThat(hit).doesNotContain(opened.workspace.focus().symbol().get());
    until(() -> robot.lookup("Try it").tryQuery().isPresent());

    robot.clickOn("Try it");
    until(() -> table(robot, "What if").rows().size() >= 2);
    WhatIf.Line asChanged = (WhatIf.Line) table(robot, "What if").rows().get(1);
    WhatIf.Line asItWas = (WhatIf.Line) table(robot, "What if").rows().getFirst();
    assertThat(asChanged.totals().moves()).isGreaterThan(asItWas.totals().moves());
  }

  @Tag("proof")
  @Test
  void pastedFillsOfABrokerAreAddedOnceAndCountInTheReview(FxRobot robot) {
    String day = opened.workspace.day().toString();
    String rows =
        """
        Date,Clock,Ticker,Action,Shares,Exec Price,Commission
        %s,10:00:00,NOSUCH,bought,10,5.00,0.50
        %s,10:05:00,NOSUCH,sold,10,5.40,0.50
        """
            .formatted(day, day);
    int before = review().trades().size();
    robot.type(KeyCode.F);
    paste(robot, rows);
    until(() -> says(robot).equals("Say which column has: date and time."));

    until(() -> parts(robot).size() == 7);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> parts(robot).get(1).setValue(FillPart.TIME));
    until(() -> says(robot).equals("Fills of " + day + ". Not in this session, and kept: NOSUCH."));
    robot.clickOn("Add 2 fills");
    until(() -> review().trades().size() == before + 1);
    assertThat(review().trades())
        .filteredOn(trade -> trade.trade().symbol().equals("NOSUCH"))
        .singleElement()
        .matches(trade -> trade.trade().result().compareTo(BigDecimal.valueOf(3)) == 0);

    paste(robot, rows);
    until(() -> robot.lookup("Add 2 fills").tryQuery().isPresent());
    robot.clickOn("Add 2 fills");
    until(() -> opened.workspace.window().action().get().equals("0 fills added, 2 known already"));
    assertThat(review().trades()).hasSize(before + 1);
  }

  @Tag("proof")
  @Test
  void fillsThatCannotBeSavedAreNotSaidToBe(FxRobot robot) throws Exception {
    String day = opened.workspace.day().toString();
    opened.workspace.ledger().awaitSaved();
    // The ledger itself refuses fills, as it would on a full disk; the columns have no place.
    try (Connection other =
            DriverManager.getConnection(
                "jdbc:sqlite:" + opened.folder.resolve(OpenedDay.LEDGER).toAbsolutePath());
        Statement statement = other.createStatement()) {
      statement.execute(
          "create trigger full before insert on fill begin select raise(abort, 'disk is full');"
              + " end");
    }
    Files.createDirectories(opened.folder.resolve("fill-columns.json"));
    robot.type(KeyCode.F);
    paste(
        robot,
        """
        Trade Time,Ticker,Action,Shares,Exec Price
        %s 10:00:00,NOSUCH,bought,10,5.00
        """
            .formatted(day));
    until(() -> robot.lookup("Add 1 fill").tryQuery().isPresent());
    robot.clickOn("Add 1 fill");

    until(
        () -> opened.workspace.window().action().get().startsWith("1 fill added, not saved yet: "));
    assertThat(opened.workspace.window().action().get()).contains("its columns could not be kept");
    assertThat(review()).isNotNull();
  }

  @Tag("proof")
  @Test
  void whatWasOpenedBeforeTheRecordIsAskedForOnce(FxRobot robot) {
    String day = opened.workspace.day().toString();
    robot.type(KeyCode.F);
    paste(
        robot,
        """
        Trade Time,Ticker,Action,Shares,Exec Price
        %s 10:00:00,NOSUCH,sold,10,5.00
        """
            .formatted(day));
    until(() -> robot.lookup("Add 1 fill").tryQuery().isPresent());
    robot.clickOn("Add 1 fill");
    until(() -> !review().beforeRecord().isEmpty());

    robot.type(KeyCode.T);
    until(() -> robot.lookup("Say how it was opened").tryQuery().isPresent());
    robot.clickOn("Say how it was opened");
    until(() -> robot.lookup("#fill-symbol").<TextField>query().getText().equals("NOSUCH"));
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> robot.lookup("#fill-price").<TextField>query().setText("4.50"));
    robot.clickOn("Look at it");
    until(() -> robot.lookup("Add 1 fill").tryQuery().isPresent());
    robot.clickOn("Add 1 fill");

    until(() -> opened.workspace.window().action().get().startsWith("1 fill added"));
    assertThat(
            KeptFills.of(
                    opened.workspace.ledger(),
                    new DataFolder(opened.folder, new ExchangeCalendar()),
                    opened.workspace.day())
                .carried())
        .singleElement()
        .matches(fill -> fill.symbol().equals("NOSUCH") && fill.at() < 0);
  }

  private static void paste(FxRobot robot, String rows) {
    until(() -> robot.lookup("#pasted-fills").tryQuery().isPresent());
    TextArea area = robot.lookup("#pasted-fills").query();
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> area.setText(rows));
  }

  private static String says(FxRobot robot) {
    return robot.lookup("#fills-say").<Label>query().getText();
  }

  /** What the columns hold, from left to right. */
  @SuppressWarnings("unchecked")
  private static List<ComboBox<FillPart>> parts(FxRobot robot) {
    return robot
        .lookup(
            (Node n) ->
                n instanceof ComboBox<?> && "What the column holds".equals(n.getAccessibleText()))
        .queryAllAs(ComboBox.class)
        .stream()
        .map(box -> (ComboBox<FillPart>) box)
        .sorted(Comparator.comparingDouble(box -> box.localToScene(0, 0).getX()))
        .toList();
  }

  @Tag("proof")
  @Test
  void theTradesAreMeasuredInGroups(FxRobot robot) {
    robot.type(KeyCode.M);
    until(() -> !table(robot, "Measures").rows().isEmpty());

    assertThat(table(robot, "Measures").rows())
        .isEqualTo(TradeGroup.of(review().trades(), TradeGrouping.SCAN));
    ComboBox<String> by =
        robot
            .lookup((Node n) -> "What the trades are told apart by".equals(n.getAccessibleText()))
            .query();
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> by.setValue("trades by hour"));
    until(
        () ->
            table(robot, "Measures")
                .rows()
                .equals(TradeGroup.of(review().trades(), TradeGrouping.HOUR)));
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> by.setValue("moves by verdict"));
    until(() -> !table(robot, "Moves by verdict").rows().isEmpty());
    assertThat(table(robot, "Moves by verdict").rows())
        .isEqualTo(MoveGroup.byVerdict(review().moves()));
  }
}
