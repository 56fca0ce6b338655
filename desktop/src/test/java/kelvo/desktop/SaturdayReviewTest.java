package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.review.ReviewStage;
import kelvo.desktop.theme.Numbers;
import kelvo.desktop.workspace.FilePlaces;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.OtherDay;
import kelvo.journal.Remark;
import kelvo.journal.RuleKept;
import kelvo.review.DayReview;
import kelvo.review.DecisionReview;
import kelvo.review.ReviewedTrade;
import kelvo.review.TradeVerdict;
import kelvo.scan.Scan;
import kelvo.sim.DemoSize;
import kelvo.sim.DemoTrader;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
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
  private static final int TABS = 60;

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
    opened.workspace.navigation().onOpen(asked::set);
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

  private static String text(FxRobot robot, String id) {
    return robot.lookup(id).<Label>query().getText();
  }

  private static Grid<?> table(FxRobot robot, String name) {
    return robot
        .lookup((Node n) -> n instanceof Grid<?> && name.equals(n.getAccessibleText()))
        .query();
  }

  @Tag("proof")
  @Test
  void aTradeIsWrittenAboutAndWhatWasWrittenIsInTheLedger(FxRobot robot) {
    robot.type(KeyCode.J);
    ReviewedTrade first = review().trades().getFirst();
    until(() -> opened.workspace.focus().symbol().get().equals(first.trade().symbol()));
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

  @Tag("proof")
  @Test
  void aMatchByHandCountsAtOnceAndIsTakenBack(FxRobot robot) {
    ReviewedTrade onAHit =
        review().trades().stream()
            .filter(trade -> trade.verdict() == TradeVerdict.ON_A_HIT)
            .findFirst()
            .orElseThrow();
    walkTo(robot, onAHit);
    robot.type(KeyCode.N);
    until(() -> robot.lookup("#note-chosen").query().isFocused());
    robot.type(KeyCode.TAB, 2);
    until(() -> focused().equals("Which move the trade was on"));
    robot.type(KeyCode.DOWN);
    until(() -> verdictOf(onAHit) == TradeVerdict.OFF_PLAN);

    robot.type(KeyCode.ESCAPE);
    undo(robot);
    until(() -> verdictOf(onAHit) == TradeVerdict.ON_A_HIT);
  }

  /** Walks to a trade of the table. */
  private void walkTo(FxRobot robot, ReviewedTrade trade) {
    robot.type(KeyCode.J, review().trades().indexOf(trade) + 1);
    until(() -> opened.workspace.focus().symbol().get().equals(trade.trade().symbol()));
  }

  private static void undo(FxRobot robot) {
    robot.press(KeyCode.CONTROL).type(KeyCode.Z).release(KeyCode.CONTROL);
  }

  private static void replace(FxRobot robot, String text) {
    robot.press(KeyCode.CONTROL).type(KeyCode.A).release(KeyCode.CONTROL);
    robot.write(text);
  }

  /** What the control in focus is for a screen reader, else its id or its words. */
  private String focused() {
    Node node = opened.window.getScene().getFocusOwner();
    return switch (node) {
      case null -> "";
      case Button button -> button.getText();
      case Node named when named.getAccessibleText() != null -> named.getAccessibleText();
      default -> String.valueOf(node.getId());
    };
  }

  /** Goes on with Tab until a control has the keys. */
  private void tabTo(FxRobot robot, String control) {
    List<String> passed = new ArrayList<>();
    while (!control.equals(WaitForAsyncUtils.waitForAsyncFx(20_000, this::focused))) {
      passed.add(WaitForAsyncUtils.waitForAsyncFx(20_000, this::focused));
      assertThat(passed).hasSizeLessThan(TABS);
      robot.type(KeyCode.TAB);
    }
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
    robot.type(KeyCode.LEFT, 2);
    until(() -> text(robot, "#net").equals(dollars(ofToday)));
    robot.type(KeyCode.RIGHT, 4);
    until(() -> text(robot, "#net").equals(dollars(2 * ofToday)));
    String first = text(robot, "#picked-trade");
    robot.type(KeyCode.SPACE);
    until(() -> text(robot, "#picked-trade").contains(", "));
    robot.type(KeyCode.SPACE);
    until(() -> !text(robot, "#picked-trade").equals(first));

    robot.type(KeyCode.C);
    until(() -> focused().equals("The account whose trades count"));
    robot.type(KeyCode.DOWN);
    until(
        () ->
            text(robot, "#net")
                .equals(dollars(2 * netOf(review().trades().getFirst().trade().account()))));
    robot.type(KeyCode.UP).type(KeyCode.ESCAPE);
    until(() -> text(robot, "#net").equals(dollars(2 * ofToday)));

    robot.type(KeyCode.J);
    until(() -> text(robot, "#picked-trade").equals("The session of " + DemoCopy.DAY_BEFORE));
    robot.type(KeyCode.ENTER);
    until(() -> asked.get() != null);
    assertThat(asked.get().date()).isEqualTo(DemoCopy.DAY_BEFORE);
    assertThat(asked.get().moment()).isEqualTo(opened.workspace.clock().now());

    robot.type(KeyCode.S);
    until(() -> robot.lookup("#track-record").tryQuery().isEmpty());
    until(() -> text(robot, "#net").equals(dollars(ofToday)));
  }

  @Tag("proof")
  @Test
  void aSessionThatIsThereLaterIsReviewedThen(FxRobot robot) throws IOException {
    double ofToday = review().all().net();
    Path trades = opened.folder.resolve("sessions/" + DemoCopy.DAY_BEFORE + "/trades.csv.zst");
    Path away = opened.folder.resolve("trades");
    Files.move(trades, away);
    robot.type(KeyCode.S);
    until(() -> robot.lookup("#track-record").tryQuery().isPresent());
    until(() -> text(robot, "#net").equals(dollars(ofToday)));
    until(() -> text(robot, "#reviewing-sessions").isEmpty());

    Files.move(away, trades);
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.window().pastHasGrown("All earlier sessions are there now"));

    until(() -> text(robot, "#net").equals(dollars(2 * ofToday)));
  }

  @Tag("proof")
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

  private double netOf(String account) {
    return review().trades().stream()
        .filter(trade -> trade.trade().closed() && trade.trade().account().equals(account))
        .mapToDouble(ReviewedTrade::result)
        .sum();
  }

  @Tag("proof")
  @Test
  void ownRulesAreWrittenAndKeptOrBroken(FxRobot robot) throws Exception {
    robot.type(KeyCode.N);
    until(() -> robot.lookup("#note-session").query().isFocused());
    tabTo(robot, "Change the rules");
    robot.type(KeyCode.SPACE);
    until(() -> robot.lookup("#own-rules").query().isFocused());
    robot.write("No trade at noon.").type(KeyCode.ENTER).type(KeyCode.ESCAPE);
    until(
        () ->
            robot
                .lookup(
                    (Node n) ->
                        n instanceof ComboBox<?>
                            && "No trade at noon.".equals(n.getAccessibleText()))
                .tryQuery()
                .isPresent());

    robot.type(KeyCode.C);
    until(() -> focused().equals("No trade at noon."));
    robot.type(KeyCode.DOWN, 2);
    until(() -> kept() == RuleKept.Answer.BROKEN);
    robot.type(KeyCode.ESCAPE);
    undo(robot);
    until(() -> kept() == RuleKept.Answer.KEPT);
    until(() -> Files.exists(opened.folder.resolve("own-rules.json")));
    assertThat(Files.readString(opened.folder.resolve("own-rules.json")))
        .contains("\"No trade at noon.\"");
  }

  private RuleKept.Answer kept() {
    return opened.workspace.book().get().page().answerTo("No trade at noon.");
  }

  private static String dollars(double net) {
    return Numbers.money(net);
  }

  @Tag("proof")
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
    String before = String.valueOf(table(robot, "Measures").rows());
    robot.type(KeyCode.C).type(KeyCode.DOWN);
    until(() -> !String.valueOf(table(robot, "Measures").rows()).equals(before));

    robot.type(KeyCode.B);
    long late = late();
    robot.type(KeyCode.C);
    tabTo(robot, "An entry further than this beyond the first hit's price is late.");
    replace(robot, "90");
    robot.type(KeyCode.TAB);
    tabTo(
        robot, "An entry later than this after the latest hit is late, unless at a planned level.");
    replace(robot, "120");
    robot.type(KeyCode.ENTER);
    until(() -> late() < late);
  }

  @Tag("proof")
  @Test
  void aScanIsTriedWithAnotherBoundAndWhyNotLeadsToATryByKeys(FxRobot robot) {
    robot.type(KeyCode.T, 2);
    until(() -> robot.lookup((Node n) -> n == table(robot, "Scans")).tryQuery().isPresent());
    robot.type(KeyCode.Y);
    until(() -> !table(robot, "Movers that no scan found").rows().isEmpty());
    robot.type(KeyCode.J);
    until(() -> robot.lookup("Try it").tryQuery().isPresent());
    robot.type(KeyCode.C);
    tabTo(robot, "Try it");
    robot.type(KeyCode.SPACE);
    until(() -> table(robot, "What if").rows().size() >= 2);

    Scan was = opened.workspace.desk().scans().getFirst();
    robot.type(KeyCode.C);
    until(() -> focused().equals("The scan that is changed"));
    until(() -> heights(robot).stream().anyMatch(height -> height > 40));
    robot.type(KeyCode.TAB);
    until(() -> focused().equals("Over which sessions"));
    robot.type(KeyCode.TAB);
    replace(robot, "change % at least 7");
    until(() -> table(robot, "What if").rows().size() >= 2);
    robot.type(KeyCode.ESCAPE).type(KeyCode.C);
    tabTo(robot, "Any of");
    replace(robot, "gap at least 4% or gap at most -4%");
    robot.type(KeyCode.ESCAPE, 2).type(KeyCode.K);
    until(() -> !opened.workspace.desk().scans().contains(was));
    assertThat(opened.workspace.desk().scans())
        .filteredOn(scan -> scan.name().equals(was.name()))
        .singleElement()
        .matches(scan -> scan.anyOf().getLast().size() == 2)
        .extracting(scan -> scan.rules().getFirst().sentence())
        .isEqualTo("change % at least 7");
  }

  @Tag("proof")
  @Test
  void fillsOfABrokersFileAreAddedByKeys(FxRobot robot) throws Exception {
    Path file =
        Files.writeString(
            opened.folder.resolve("broker.csv"),
            """
            Trade Time,Ticker,Action,Shares,Exec Price
            2031-03-12 10:00:00,NOSUCH,bought,10,5.00
            2031-03-12 10:05:00,NOSUCH,sold,10,5.40
            """);
    opened.workspace.navigation().files(new AnsweredPlaces(new ArrayDeque<>(List.of(file))));
    int before = review().trades().size();
    robot.type(KeyCode.F).type(KeyCode.C);
    until(() -> focused().equals("Choose a file…"));
    robot.type(KeyCode.SPACE);
    until(() -> robot.lookup("Add 2 fills").tryQuery().isPresent());
    robot.type(KeyCode.A);
    until(() -> review().trades().size() == before + 1);
  }

  @Tag("proof")
  @Test
  void reportsTablesAndTheLedgerAreWrittenWhereTheTraderSays(FxRobot robot) throws Exception {
    Path html = opened.folder.resolve("out.html");
    Path pdf = opened.folder.resolve("out.pdf");
    Path zip = opened.folder.resolve("out.zip");
    Path tables = Files.createDirectory(opened.folder.resolve("tables"));
    Queue<Path> places = new ArrayDeque<>(List.of(html, pdf, tables, zip));
    opened.workspace.navigation().files(new AnsweredPlaces(places));
    robot.type(KeyCode.N);
    until(() -> robot.lookup("#note-session").query().isFocused());

    for (String button :
        List.of("Report of the day…", "of the week…", "Tables as CSV…", "Ledger as zip…")) {
      Path place = places.element();
      tabTo(robot, button);
      robot.type(KeyCode.SPACE);
      until(() -> opened.workspace.window().action().get().endsWith(" to " + place));
    }

    assertThat(Files.readString(html))
        .contains(DemoSize.SESSION.toString())
        .contains(review().trades().getFirst().trade().symbol());
    assertThat(Files.readAllBytes(pdf)).startsWith("%PDF".getBytes(StandardCharsets.US_ASCII));
    try (Stream<Path> written = Files.list(tables)) {
      assertThat(written).isNotEmpty().allMatch(table -> table.toString().endsWith(".csv"));
    }
    try (ZipFile read = new ZipFile(zip.toFile())) {
      assertThat(read.stream().map(ZipEntry::getName)).contains("fill.csv");
    }
  }

  /** How high the rules stand; a long one takes more lines than one. */
  private static List<Double> heights(FxRobot robot) {
    return robot.lookup(".rule-field").queryAll().stream()
        .map(rule -> rule.getLayoutBounds().getHeight())
        .toList();
  }

  /** Says beforehand where files go. */
  private record AnsweredPlaces(Queue<Path> places) implements FilePlaces {
    @Override
    public Optional<Path> open(Window over, String title) {
      return Optional.of(places.remove());
    }

    @Override
    public Optional<Path> save(Window over, String name, String... endings) {
      return Optional.of(places.remove());
    }

    @Override
    public Optional<Path> folder(Window over, String title) {
      return Optional.of(places.remove());
    }
  }

  private long late() {
    return review().trades().stream().filter(trade -> trade.verdict() == TradeVerdict.LATE).count();
  }
}
