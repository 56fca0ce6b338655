package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import javafx.stage.Window;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.time.DayTime;
import kelvo.view.CatalystFilter;
import kelvo.view.NewsView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The clock of the program: the day rail, playing, and the market breadth beside it. */
@ExtendWith(RealWindow.class)
class DayRailTest {
  private static final long START = DayTime.of(9, 56);

  private OpenedWindow opened;
  private Node rail;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, START);
  }

  @BeforeEach
  void ready(FxRobot robot) {
    until(() -> opened.shown().isThere() && shown().moment() == START);
    rail =
        robot
            .from(opened.window)
            .lookup((Node n) -> String.valueOf(n.getAccessibleText()).startsWith("Day rail"))
            .query();
  }

  @AfterEach
  void close() {
    opened.close();
  }

  private ShownDay shown() {
    return opened.shown();
  }

  @Tag("proof")
  @Test
  void arrowsGoAMinuteAndWithShiftAQuarterOfAnHour(FxRobot robot) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, rail::requestFocus);
    robot.type(KeyCode.RIGHT);
    until(() -> shown().moment() == START + DayTime.MINUTE);
    robot.press(KeyCode.SHIFT).type(KeyCode.LEFT).release(KeyCode.SHIFT);
    until(() -> shown().moment() == START - 14 * DayTime.MINUTE);
  }

  @Tag("proof")
  @Test
  void whatLiesUnderThePointerIsSaidInWords(FxRobot robot) {
    double atTheOpen = rail.getBoundsInLocal().getWidth() * (5.5 / 16 - 0.5);
    robot.moveTo(rail).moveBy(atTheOpen, 0).moveBy(1, 0);

    until(
        () ->
            Window.getWindows().stream()
                .anyMatch(
                    window ->
                        window instanceof Tooltip tooltip
                            && tooltip.getText().startsWith("09:3")
                            && tooltip.getText().contains(" hits")));
  }

  @Tag("proof")
  @Test
  void behindTheWindowTheWholeDayIsPlayed() {
    until(() -> opened.workspace.clock().playedUntil().get() == DayTime.LAST);
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.clock().seek(DayTime.LAST));
    until(() -> shown().moment() == DayTime.LAST);

    assertThat(shown().hits())
        .isEqualTo(
            SessionRun.of(
                    opened.workspace.session(),
                    new Program(opened.workspace.scans(), List.of()),
                    Progress.NONE)
                .hits());
  }

  @Test
  void draggingShowsTheMomentUnderThePointerAndNothingLater(FxRobot robot) {
    robot.moveTo(rail).press(MouseButton.PRIMARY).moveBy(-120, 0);
    until(() -> shown().moment() > DayTime.of(9, 0) && shown().moment() < DayTime.of(10, 30));
    robot.moveBy(-60, 0).release(MouseButton.PRIMARY);

    until(() -> shown().moment() < DayTime.of(9, 30));
    assertThat(shown().hits()).allMatch(hit -> hit.at() <= shown().moment());
    NewsView news = new NewsView(opened.workspace.session(), CatalystFilter.ALL);
    assertThat(shown().look(news).rows())
        .isNotEmpty()
        .allMatch(row -> row.item().known() <= shown().moment());
  }

  private int[] goToAndLook(long moment) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.clock().seek(moment));
    until(() -> shown().moment() == moment);
    return WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          WritableImage image = rail.snapshot(null, null);
          int width = (int) image.getWidth();
          int height = (int) image.getHeight();
          int[] pixels = new int[width * height];
          image
              .getPixelReader()
              .getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), pixels, 0, width);
          return pixels;
        });
  }

  @Tag("proof")
  @Test
  void aMomentLooksTheSameAfterALaterOneWasLookedAt() {
    until(() -> opened.workspace.clock().playedUntil().get() == DayTime.LAST);
    int[] before = goToAndLook(DayTime.of(9, 0));
    int[] later = goToAndLook(DayTime.of(15, 0));
    int[] again = goToAndLook(DayTime.of(9, 0));

    assertThat(later).isNotEqualTo(before);
    assertThat(again).isEqualTo(before);
  }

  @Tag("proof")
  @Test
  void theSpeedButtonGoesRoundAndPlayingPauses(FxRobot robot) {
    robot.clickOn("60x");
    robot.clickOn("600x");
    robot.clickOn("1x");
    robot.clickOn("10x").clickOn("Play");
    until(() -> opened.workspace.clock().speed().get() == 60);
    until(() -> shown().moment() > START);
    robot.clickOn("Pause");
    until(() -> opened.workspace.clock().speed().get() == 0);
  }

  @Tag("proof")
  @Test
  void theBreadthShowsItsPartsAndWarnsOfAKnownEvent(FxRobot robot) {
    Label next = robot.lookup((Node n) -> isLabelWith(n, "Wholesale inventories")).query();
    assertThat(next.getText()).contains("in 4 min");
    robot.clickOn("#breadth");

    until(() -> robot.lookup((Node n) -> isLabelWith(n, "Moved over 10%")).tryQuery().isPresent());
    assertThat(robot.lookup((Node n) -> isLabelWith(n, "Rate decision")).tryQuery()).isPresent();
    assertThat(robot.lookup((Node n) -> isLabelWith(n, ", past")).tryQuery()).isPresent();
  }

  private static boolean isLabelWith(Node node, String text) {
    return node instanceof Label label && label.getText().contains(text);
  }
}
