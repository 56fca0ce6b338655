package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import javafx.application.Platform;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import kelvo.desktop.catalysts.CatalystsStage;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import kelvo.journal.Choice;
import kelvo.journal.Decision;
import kelvo.level.LevelKind;
import kelvo.news.NewsCategory;
import kelvo.review.DayReview;
import kelvo.review.TradeVerdict;
import kelvo.session.SecurityFacts;
import kelvo.time.DayTime;
import kelvo.view.NewsView;
import kelvo.watchlist.TheTen;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The real window, driven by keyboard and mouse through a day. */
@ExtendWith(RealWindow.class)
class WholeDayTest {
  private static final long MORNING = DayTime.of(8, 58);

  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, MORNING);
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private ShownDay shown() {
    return opened.shown();
  }

  private void ready() {
    until(
        () ->
            shown().isThere() && shown().moment() == MORNING && opened.morning().visibleRows() > 0);
  }

  @Tag("proof")
  @Test
  void theTriageTableIsThereAndTheChartFollowsTheFocus(FxRobot robot) {
    ready();
    robot.press(KeyCode.J).release(KeyCode.J);

    until(() -> !shown().focus().isEmpty() && opened.window.minuteBarsDrawn() > 20);
    assertThat(opened.workspace.focus().symbol().get()).isEqualTo("TIDARC");
    assertThat(opened.morning().visibleRows()).isGreaterThan(10);
  }

  @Tag("proof")
  @Test
  void keepAndDropWithAReasonByKeyboardAndUndo(FxRobot robot) {
    ready();
    robot.type(KeyCode.J);
    until(() -> opened.workspace.focus().symbol().get().equals("TIDARC"));
    robot.type(KeyCode.K).type(KeyCode.DIGIT1);
    until(() -> TheTen.at(opened.workspace.book().get(), MORNING).kept().size() == 1);
    String second = opened.workspace.focus().symbol().get();
    assertThat(second).isNotEqualTo("TIDARC");
    robot.type(KeyCode.D).write("too thin for me").type(KeyCode.ENTER);
    until(() -> opened.workspace.book().get().decisionOn(second, MORNING).isPresent());

    Decision dropped = opened.workspace.book().get().decisionOn(second, MORNING).orElseThrow();
    assertThat(dropped.choice()).isEqualTo(Choice.DROP);
    assertThat(dropped.reason()).isEqualTo("too thin for me");
    robot.type(KeyCode.U);
    until(() -> opened.workspace.book().get().decisionOn(second, MORNING).isEmpty());
  }

  @Tag("proof")
  @Test
  void aFullTenAsksWhichOneGoes(FxRobot robot) {
    ready();
    robot.type(KeyCode.J);
    until(() -> opened.workspace.focus().symbol().get().equals("TIDARC"));
    List<String> others =
        opened.workspace.session().securities().stream()
            .map(SecurityFacts::symbol)
            .filter(s -> !s.equals("TIDARC"))
            .limit(TheTen.DEFAULT_SIZE)
            .toList();
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> others.forEach(s -> opened.workspace.trader().decide(s, Choice.KEEP, "early")));
    robot.type(KeyCode.K).type(KeyCode.DIGIT0).type(KeyCode.DIGIT1);

    until(
        () ->
            TheTen.at(opened.workspace.book().get(), MORNING).kept().stream()
                .anyMatch(d -> d.symbol().equals("TIDARC")));
    List<String> kept =
        TheTen.at(opened.workspace.book().get(), MORNING).kept().stream()
            .map(Decision::symbol)
            .toList();
    assertThat(kept).hasSize(TheTen.DEFAULT_SIZE).doesNotContain(others.getLast());
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

  @Tag("proof")
  @Test
  void slashFindsASymbolFromAnywhere(FxRobot robot) {
    ready();
    robot.type(KeyCode.SLASH).write("kelporium").type(KeyCode.ENTER);

    until(() -> shown().focus().equals("KELPOR"));
  }

  @Tag("proof")
  @Test
  void numberKeysGoToTheStagesAndReviewTellsTheVerdicts(FxRobot robot) {
    ready();
    robot.type(KeyCode.DIGIT3);
    until(() -> opened.workspace.window().stage().get().equals(LiveStage.KIND));
    robot.type(KeyCode.DIGIT5);
    Platform.runLater(() -> opened.workspace.clock().seek(DayTime.of(16, 30)));
    until(
        () -> {
          DayReview review = opened.workspace.review().review().get();
          return review != null && review.until() == DayTime.of(16, 30);
        });
    DayReview review = opened.workspace.review().review().get();
    assertThat(review.trades())
        .extracting(t -> t.trade().symbol(), t -> t.verdict())
        .containsExactly(
            tuple("TIDARC", TradeVerdict.ON_A_HIT),
            tuple("KELPOR", TradeVerdict.LATE),
            tuple("MARKTA", TradeVerdict.OFF_PLAN),
            tuple("GENSED", TradeVerdict.ON_A_HIT));
  }

  @Tag("proof")
  @Test
  void newsIsFilteredAsTheFilterIsTyped(FxRobot robot) {
    ready();
    robot.type(KeyCode.DIGIT4);
    until(() -> opened.workspace.window().stage().get().equals(CatalystsStage.KIND));
    // Looked up once: the list takes the name of its chosen row.
    Grid<NewsView.NewsRow> news = news(robot);
    until(() -> !news.rows().isEmpty());
    int all = news.rows().size();
    robot.type(KeyCode.F).write("category contract, subject");
    until(() -> !news.rows().isEmpty() && news.rows().size() < all);

    assertThat(news.rows())
        .allMatch(row -> row.subject() && row.item().reading().category() == NewsCategory.CONTRACT)
        .allMatch(row -> row.item().at() <= shown().moment());
    robot.write(", loudness");
    robot.type(KeyCode.ENTER).type(KeyCode.J);
    until(() -> shown().focus().equals(news.rows().getFirst().symbol()));
  }

  private static Grid<NewsView.NewsRow> news(FxRobot robot) {
    return robot
        .lookup(
            (Node n) ->
                n.getAccessibleRole() == AccessibleRole.TABLE_VIEW
                    && "News".equals(n.getAccessibleText()))
        .query();
  }

  @Tag("proof")
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
          opened.workspace.focus().on("TIDARC");
          opened.workspace.trader().decide("TIDARC", Choice.KEEP, "news");
          opened
              .workspace
              .trader()
              .addLevel(opened.workspace.focus().symbol().get(), 90_000, LevelKind.BY_HAND);
          opened.workspace.clock().play(3_600);
        });

    until(
        () ->
            shown().hits().stream()
                .anyMatch(hit -> hit.scan().equals("levels") && hit.symbol().equals("TIDARC")));
    until(() -> opened.workspace.alerts().newest().get() != null);
    Platform.runLater(() -> opened.workspace.clock().play(0));
  }

  /**
   * Every tone is painted: the window has the ground of its theme, and its texts can be told from
   * it.
   */
  @Tag("proof")
  @Test
  void bothThemesArePainted() {
    ready();
    Platform.runLater(() -> opened.workspace.focus().on("GENSED"));
    until(() -> opened.window.minuteBarsDrawn() > 0);
    for (Theme theme : Theme.values()) {
      Platform.runLater(() -> opened.workspace.window().theme().set(theme));
      until(() -> opened.window.getScene().getStylesheets().equals(theme.styles()));
      Map<Color, Integer> colours = colours();

      assertThat(colours.getOrDefault(theme.colour(Tone.CARD), 0)).isGreaterThan(50_000);
      for (Tone tone : List.of(Tone.INK, Tone.FADED, Tone.LINES, Tone.UP, Tone.DOWN)) {
        assertThat(colours).as("%s in %s", tone, theme).containsKey(theme.colour(tone));
      }
      assertThat(colours.getOrDefault(theme.other().colour(Tone.CARD), 0))
          .as("nothing is left of the other theme")
          .isLessThan(500);
    }
  }

  /** The colours of the window and how many pixels have each. */
  private Map<Color, Integer> colours() {
    WritableImage picture =
        WaitForAsyncUtils.waitForAsyncFx(10_000, () -> opened.window.getScene().snapshot(null));
    Map<Color, Integer> colours = new HashMap<>();
    PixelReader pixels = picture.getPixelReader();
    for (int y = 0; y < picture.getHeight(); y++) {
      for (int x = 0; x < picture.getWidth(); x++) {
        colours.merge(pixels.getColor(x, y), 1, Integer::sum);
      }
    }
    return colours;
  }

  @Tag("proof")
  @Test
  void openingTheDayAgainShowsItAsItWas() {
    ready();
    Platform.runLater(
        () -> {
          opened.workspace.focus().on("KELPOR");
          opened.workspace.trader().decide("KELPOR", Choice.KEEP, "thin, stepping up");
          opened
              .workspace
              .trader()
              .addNote(opened.workspace.focus().symbol().get(), "watch the third step");
        });
    until(() -> opened.workspace.book().get().notes().size() == 1);
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          opened.workspace.close();
          opened = OpenedWindow.open(opened.folder, new Stage(), MORNING);
        });

    assertThat(TheTen.at(opened.workspace.book().get(), MORNING).kept())
        .extracting(Decision::symbol)
        .containsExactly("KELPOR");
    assertThat(opened.workspace.book().get().notesOn("KELPOR", MORNING)).hasSize(1);
    assertThat(opened.workspace.ledger().leftAt(opened.workspace.day())).hasValue(MORNING);
  }

  @Tag("proof")
  @Test
  void howManyTheTenHoldsIsTheTradersChoiceAndIsTakenBack(FxRobot robot) {
    ready();
    robot.clickOn((Node n) -> n instanceof Label l && l.getText().equals("The Ten"));
    robot.clickOn("At most 3");
    until(() -> opened.workspace.desk().mostKept().get() == 3);
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            opened.workspace.session().securities().stream()
                .limit(5)
                .forEach(s -> opened.workspace.trader().decide(s.symbol(), Choice.KEEP, "early")));
    assertThat(TheTen.at(opened.workspace.book().get(), MORNING).kept()).hasSize(3);
    assertThat(opened.workspace.window().action().get()).startsWith("The Ten is full");

    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.desk().keepAtMost(TheTen.DEFAULT_SIZE));
    until(
        () ->
            robot
                .lookup((Node n) -> n instanceof Label l && l.getText().equals("3 kept, 7 free"))
                .tryQuery()
                .isPresent());
  }
}
