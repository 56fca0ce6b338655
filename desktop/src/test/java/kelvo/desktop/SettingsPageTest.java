package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import kelvo.desktop.theme.Theme;
import kelvo.level.LevelKind;
import kelvo.setting.SettingCatalogue;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.trade.CostMethod;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import kelvo.view.DayResultView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Settings are found, count at once, are kept in a file and taken back. */
@ExtendWith(RealWindow.class)
class SettingsPageTest {
  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, DayTime.of(10, 0));
  }

  @AfterEach
  void close() {
    Theme.textSize(1);
    opened.close();
  }

  private void find(FxRobot robot, String text) {
    until(() -> opened.shown().isThere());
    robot.press(KeyCode.CONTROL).type(KeyCode.COMMA).release(KeyCode.CONTROL).write(text);
  }

  private String kept() {
    try {
      Path file = opened.folder.resolve("settings.json");
      return Files.exists(file) ? Files.readString(file) : "";
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static void replace(FxRobot robot, String field, String text) {
    robot.clickOn(field).press(KeyCode.CONTROL).type(KeyCode.A).release(KeyCode.CONTROL);
    robot.write(text).type(KeyCode.ENTER);
  }

  @Tag("proof")
  @Test
  void lettersGrowAtOnceAndAreAsTheyShipAgain(FxRobot robot) {
    Label symbol = robot.lookup(".symbol").query();
    double before = symbol.getFont().getSize();
    find(robot, "letters");
    replace(robot, "#setting-text-size", "125");

    until(() -> symbol.getFont().getSize() == before * 1.25);
    until(() -> kept().contains("\"text size\" : 125"));
    robot.clickOn(
        (Node n) -> n instanceof Button b && b.getText().equals("As it ships") && b.isVisible());
    until(() -> symbol.getFont().getSize() == before);
    until(() -> !kept().contains("text size"));
  }

  @Tag("proof")
  @Test
  void aValueThatIsNotAllowedSaysWhatIsAndTheOldOneCounts(FxRobot robot) {
    find(robot, "further than this");
    replace(robot, "#setting-far-level-", "far");

    until(
        () ->
            robot.lookup(".label").queryAllAs(Label.class).stream()
                .anyMatch(
                    label ->
                        label
                            .getText()
                            .equals("expected a number from 1 to 100, found \"far\"; 25 counts")));
    assertThat(opened.workspace.settings().now().number(SettingCatalogue.FAR_LEVEL)).isEqualTo(25);
  }

  @Tag("proof")
  @Test
  void theLookIsChangedAndTakenBackLikeAnyOtherEdit(FxRobot robot) {
    until(() -> opened.shown().isThere());
    robot.clickOn("Day or night");
    until(() -> opened.workspace.window().theme().get() == Theme.NIGHT && kept().contains("night"));

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.undoStack().undo());
    until(
        () ->
            opened.workspace.window().theme().get() == Theme.DAYBREAK && !kept().contains("night"));
  }

  @Tag("proof")
  @Test
  void theDaysLossLimitWarnsInTheHeaderAtHalfAndAtTheWhole(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.clock().seek(DayTime.LAST));
    until(() -> opened.shown().moment() == DayTime.LAST);
    double net =
        opened
            .shown()
            .look(
                new DayResultView(
                    opened.workspace.session(),
                    opened.workspace.book().get().tradedUntil(DayTime.LAST),
                    CostMethod.FIRST_IN_FIRST_OUT))
            .net();
    List<Fill> lost = List.of(bought("TIDARC", net + 5_000), sold("TIDARC"));
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          opened.workspace.trader().filled(lost);
          opened.workspace.settings().set(SettingCatalogue.LOSS_LIMIT, "8000");
        });
    until(() -> loud(robot).contains("Half the loss limit"));

    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.settings().set(SettingCatalogue.LOSS_LIMIT, "4000"));
    until(() -> loud(robot).contains("Loss limit reached"));
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.settings().set(SettingCatalogue.LOSS_LIMIT, "0"));
    until(() -> loud(robot).isEmpty());
  }

  private static Fill bought(String symbol, double dollars) {
    return fill(symbol, FillSide.BUY, BigDecimal.valueOf(dollars + 1).setScale(2, RoundingMode.UP));
  }

  private static Fill sold(String symbol) {
    return fill(symbol, FillSide.SELL, BigDecimal.ONE);
  }

  private static Fill fill(String symbol, FillSide side, BigDecimal price) {
    return new Fill(
        DayTime.of(15, 0), symbol, side, BigDecimal.ONE, price, BigDecimal.ZERO, "loser", "");
  }

  private static String loud(FxRobot robot) {
    return robot.lookup(".loud").queryAllAs(Label.class).stream()
        .map(Label::getText)
        .collect(Collectors.joining());
  }

  @Tag("proof")
  @Test
  void theNextStepIsSentAwayOnAStageAndComesBack(FxRobot robot) {
    Node line = robot.lookup("#next-step").query();
    until(line::isVisible);
    robot.clickOn("×");
    until(() -> !line.isVisible());
    robot.type(KeyCode.DIGIT1);
    until(line::isVisible);

    robot.type(KeyCode.DIGIT2);
    until(() -> !line.isVisible());
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.settings().set(SettingCatalogue.NEXT_STEPS, "false"));
    WaitForAsyncUtils.waitForAsyncFx(
        20_000, () -> opened.workspace.settings().set(SettingCatalogue.NEXT_STEPS, "true"));
    until(line::isVisible);
  }

  @Test
  void theSizeOfAPositionFollowsFromAccountRiskAndStop(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          opened.workspace.focus().on("TIDARC");
          opened.workspace.settings().set(SettingCatalogue.ACCOUNT, "25000");
          opened.workspace.trader().addLevel("TIDARC", Price.parse("7.00"), LevelKind.STOP);
        });
    robot.clickOn("Plan and notes");

    until(
        () ->
            robot.lookup(".label").queryAllAs(Label.class).stream()
                .anyMatch(
                    label ->
                        label
                            .getText()
                            .matches(
                                "Size: [0-9,]+ shares from .* to the stop 7\\.00 lose \\$2.*")));
  }
}
