package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Predicate;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.data.scanfile.ScanFolder;
import kelvo.desktop.shell.StageKind;
import kelvo.desktop.theme.Theme;
import kelvo.view.MarketSnapshot;
import kelvo.session.SecurityFacts;
import kelvo.news.NewsCategory;
import kelvo.review.DayReview;
import kelvo.time.DayTime;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.level.LevelKind;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The real window, driven by keyboard and mouse through a day. */
@ExtendWith(ApplicationExtension.class)
class WholeDayTest {
  private static final long MORNING = DayTime.of(8, 58);

  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, MORNING, false);
  }

  @AfterEach
  void close() {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.close());
  }

  private MarketSnapshot shown() {
    return opened.workspace.snapshot().get();
  }

  private void ready() {
    until(
        () -> shown() != null && shown().moment() == MORNING && opened.window.triageRowsSeen() > 0);
  }

  @Test
  void theTriageTableIsThereAndTheChartFollowsTheFocus(FxRobot robot) {
    ready();
    robot.press(KeyCode.J).release(KeyCode.J);

    until(() -> shown().focus() != null && opened.window.minuteBarsDrawn() > 20);
    assertThat(opened.workspace.focus().get()).isEqualTo("TIDARC");
    assertThat(opened.window.triageRowsSeen()).isGreaterThan(10);
  }

  @Test
  void keepAndDropWithAReasonByKeyboardAndUndo(FxRobot robot) {
    ready();
    robot.type(KeyCode.J);
    until(() -> opened.workspace.focus().get().equals("TIDARC"));
    robot.type(KeyCode.K).type(KeyCode.DIGIT1);
    until(() -> opened.workspace.book().get().theTen(MORNING).size() == 1);
    String second = opened.workspace.focus().get();
    assertThat(second).isNotEqualTo("TIDARC");
    robot.type(KeyCode.D).write("too thin for me").type(KeyCode.ENTER);
    until(() -> opened.workspace.book().get().decisionOn(second, MORNING).isPresent());

    Decision dropped = opened.workspace.book().get().decisionOn(second, MORNING).orElseThrow();
    assertThat(dropped.choice()).isEqualTo(Choice.DROP);
    assertThat(dropped.reason()).isEqualTo("too thin for me");
    robot.type(KeyCode.U);
    until(() -> opened.workspace.book().get().decisionOn(second, MORNING).isEmpty());
  }

  @Test
  void aFullTenAsksWhichOneGoes(FxRobot robot) {
    ready();
    robot.type(KeyCode.J);
    until(() -> opened.workspace.focus().get().equals("TIDARC"));
    List<String> others =
        opened.workspace.session().securities().stream()
            .map(SecurityFacts::symbol)
            .filter(s -> !s.equals("TIDARC"))
            .limit(ScanFolder.USUALLY_KEPT)
            .toList();
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> others.forEach(s -> opened.workspace.trader().decide(s, Choice.KEEP, "early")));
    robot.type(KeyCode.K).type(KeyCode.DIGIT0).type(KeyCode.DIGIT1);

    until(
        () ->
            opened.workspace.book().get().theTen(MORNING).stream()
                .anyMatch(d -> d.symbol().equals("TIDARC")));
    List<String> kept =
        opened.workspace.book().get().theTen(MORNING).stream().map(Decision::symbol).toList();
    assertThat(kept).hasSize(ScanFolder.USUALLY_KEPT).doesNotContain(others.getLast());
    assertThat(
            opened
                .workspace
                .book()
                .get()
                .decisionOn(others.getLast(), MORNING)
                .orElseThrow()
                .reason())
        .isEqualTo("made room for TIDARC");
  }

  @Test
  void slashFindsASymbolFromAnywhere(FxRobot robot) {
    ready();
    robot.type(KeyCode.SLASH).write("kelporium").type(KeyCode.ENTER);

    until(() -> shown().focus() != null && shown().focus().facts().symbol().equals("KELPOR"));
  }

  @Test
  void numberKeysGoToTheStagesAndReviewTellsTheVerdicts(FxRobot robot) {
    ready();
    robot.type(KeyCode.DIGIT3);
    until(() -> opened.workspace.stage().get() == StageKind.LIVE);
    robot.type(KeyCode.DIGIT5);
    Platform.runLater(() -> opened.workspace.seek(DayTime.of(16, 30)));
    until(
        () -> {
          DayReview review = opened.workspace.review().get();
          return review != null
              && review.until() == DayTime.of(16, 30)
              && review.trades().size() == 4;
        });
  }

  @Test
  void newsIsFilteredAsTheFilterIsTyped(FxRobot robot) {
    ready();
    robot.type(KeyCode.DIGIT4);
    until(() -> opened.workspace.stage().get() == StageKind.CATALYSTS);
    int all = shown().news().all();
    robot.type(KeyCode.F).write("category contract, subject");
    until(() -> !shown().news().rows().isEmpty() && shown().news().rows().size() < all);

    assertThat(shown().news().rows())
        .allMatch(row -> row.subject() && row.item().reading().category() == NewsCategory.CONTRACT)
        .allMatch(row -> row.item().at() <= shown().moment());
    robot.write(", loudness");
    robot.type(KeyCode.ENTER).type(KeyCode.J);
    until(
        () ->
            shown().focus() != null
                && shown()
                    .focus()
                    .facts()
                    .symbol()
                    .equals(shown().news().rows().getFirst().symbol()));
  }

  @Test
  void clickingTheDayRailMovesTheWholeProgram(FxRobot robot) {
    ready();
    Predicate<Node> rail = node -> "Day rail, 04:00 to 20:00".equals(node.getAccessibleText());
    robot.clickOn(robot.from(opened.window).lookup(rail).<Node>query());

    until(() -> shown().moment() > DayTime.of(11, 30) && shown().moment() < DayTime.of(12, 30));
    assertThat(shown().hits()).allMatch(hit -> hit.at() <= shown().moment());
    assertThat(shown().events())
        .isEqualTo(opened.workspace.session().tape().countUntil(shown().moment()));
  }

  @Test
  void playingAlertsOnTheTenWhenALevelIsPassed() {
    ready();
    Platform.runLater(
        () -> {
          opened.workspace.focusOn("TIDARC");
          opened.workspace.trader().decide("TIDARC", Choice.KEEP, "news");
          opened
              .workspace
              .trader()
              .addLevel(opened.workspace.focus().get(), 90_000, LevelKind.BY_HAND);
          opened.workspace.play(3_600);
        });

    until(
        () ->
            shown().hits().stream()
                .anyMatch(hit -> hit.scan().equals("levels") && hit.symbol().equals("TIDARC")));
    until(() -> opened.workspace.alerts().newest().get() != null);
    Platform.runLater(() -> opened.workspace.play(0));
  }

  @Test
  void bothThemesAreComplete() {
    ready();
    for (Theme theme : Theme.values()) {
      Platform.runLater(() -> opened.workspace.theme().set(theme));
      until(() -> opened.window.getScene().getStylesheets().equals(theme.styles()));
    }
  }

  @Test
  void openingTheDayAgainShowsItAsItWas() {
    ready();
    Platform.runLater(
        () -> {
          opened.workspace.focusOn("KELPOR");
          opened.workspace.trader().decide("KELPOR", Choice.KEEP, "thin, stepping up");
          opened.workspace.trader().addNote(opened.workspace.focus().get(), "watch the third step");
        });
    until(() -> opened.workspace.book().get().notes().size() == 1);
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          opened.workspace.close();
          opened = OpenedWindow.open(new Stage(), MORNING, true);
        });

    assertThat(opened.workspace.book().get().theTen(MORNING))
        .extracting(Decision::symbol)
        .containsExactly("KELPOR");
    assertThat(opened.workspace.book().get().notesOn("KELPOR", MORNING)).hasSize(1);
    assertThat(opened.workspace.ledger().leftAt(opened.workspace.day())).hasValue(MORNING);
  }

  @Test
  void howManyTheTenHoldsIsTheTradersChoiceAndIsTakenBack(FxRobot robot) {
    ready();
    robot.clickOn((Node n) -> n instanceof Label l && l.getText().startsWith("The Ten, "));
    robot.clickOn("At most 3");
    until(() -> opened.workspace.desk().mostKept().get() == 3);
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            opened.workspace.session().securities().stream()
                .limit(5)
                .forEach(s -> opened.workspace.trader().decide(s.symbol(), Choice.KEEP, "early")));
    assertThat(opened.workspace.book().get().theTen(MORNING)).hasSize(3);
    assertThat(opened.workspace.action().get()).startsWith("The Ten is full");

    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.desk().keepAtMost(ScanFolder.USUALLY_KEPT));
    until(
        () ->
            robot
                .lookup((Node n) -> n instanceof Label l && l.getText().equals("The Ten, 3 of 10"))
                .tryQuery()
                .isPresent());
  }
}
