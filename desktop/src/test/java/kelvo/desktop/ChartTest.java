package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.Callable;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import kelvo.desktop.chart.DailyPriceChart;
import kelvo.desktop.chart.IntradayChart;
import kelvo.desktop.chart.PointedAt;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.time.DayTime;
import kelvo.view.MinutesView;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The charts in the real window: bar length, hours, zoom, ruler, levels, the shared crosshair. */
@ExtendWith(RealWindow.class)
class ChartTest {
  private OpenedWindow opened;
  private IntradayChart chart;
  private DailyPriceChart days;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, DayTime.of(10, 30));
  }

  @BeforeEach
  void focus(FxRobot robot) {
    until(() -> opened.shown().isThere());
    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.focus().on("TIDARC"));
    chart = robot.lookup(n -> n instanceof IntradayChart).query();
    days = robot.lookup(n -> n instanceof DailyPriceChart).query();
    until(() -> chart.barsDrawn() > 70 && days.barsDrawn() > 50);
  }

  @AfterEach
  void close() {
    opened.close();
  }

  @Tag("proof")
  @Test
  void longerBarsAreFewerAndExtendedHoursCanBeLeftOut(FxRobot robot) {
    int minutes = chart.barsDrawn();
    robot.clickOn("15 min");
    until(() -> chart.barsDrawn() < minutes / 2);
    robot.clickOn("5 min").clickOn("Extended hours");
    until(() -> chart.barsDrawn() == 12);
  }

  @Tag("proof")
  @Test
  void theWheelZoomsAndADoubleClickShowsTheDayAgain(FxRobot robot) {
    int all = chart.barsDrawn();
    robot.moveTo(chart).scroll(5, javafx.geometry.VerticalDirection.DOWN);
    robot.moveTo(chart).scroll(5, javafx.geometry.VerticalDirection.UP);
    robot.scroll(5, javafx.geometry.VerticalDirection.UP);
    until(() -> chart.barsDrawn() < all);
    doubleClick(robot, chart, () -> chart.barsDrawn() == all);
  }

  @Test
  void drawingSetsLevelsAndTrendLinesThatCanBeTakenBack(FxRobot robot) {
    robot.clickOn("Draw").moveTo(chart).clickOn(MouseButton.PRIMARY);
    until(() -> levels().size() == 1);
    robot.press(MouseButton.PRIMARY).moveBy(60, -20).release(MouseButton.PRIMARY);

    until(() -> levels().size() == 2);
    assertThat(levels().getFirst().kind()).isEqualTo(LevelKind.BY_HAND);
    Level line = levels().getLast();
    assertThat(line.kind()).isEqualTo(LevelKind.TREND_LINE);
    assertThat(line.rise()).isPositive();
    assertThat(line.priceAt(DayTime.of(10, 0))).isLessThan(line.priceAt(DayTime.of(10, 30)));

    WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.workspace.undoStack().undo());
    until(() -> levels().size() == 1);
  }

  private List<Level> levels() {
    return opened.workspace.book().get().levelsOn("TIDARC", opened.workspace.clock().now()).stream()
        .filter(level -> level.setAt() == opened.workspace.clock().now())
        .toList();
  }

  @Tag("proof")
  @Test
  void aDragWithTheOtherButtonMeasuresAndDoesNotMove(FxRobot robot) {
    int all = chart.barsDrawn();
    robot.moveTo(chart).press(MouseButton.SECONDARY);
    robot.moveBy(60, -30).release(MouseButton.SECONDARY);

    until(chart::isMeasuring);
    assertThat(chart.barsDrawn()).isEqualTo(all);
  }

  @Tag("proof")
  @Test
  void aChartOnWhichNothingChangedIsNotPaintedAgain() {
    int security = opened.workspace.session().numberOf("TIDARC").orElseThrow();
    MinutesView view = new MinutesView(opened.workspace.session(), security, 250_000);
    MinutesView.DayOfMinutes shown = opened.shown().look(view);
    int before = show(shown, shown.moment());

    assertThat(show(shown, shown.moment() + DayTime.SECOND)).isEqualTo(before);
    assertThat(show(shown, shown.moment() + 5 * DayTime.MINUTE)).isGreaterThan(before);
  }

  /** Shows a moment and returns how often the chart has been painted. */
  private int show(MinutesView.DayOfMinutes day, long moment) {
    return WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          chart.show(
              new MinutesView.DayOfMinutes(
                  day.symbol(),
                  moment,
                  day.price(),
                  day.change(),
                  day.minutes(),
                  day.references(),
                  day.hits(),
                  day.halts(),
                  day.blocks()),
              List.of(),
              List.of(),
              opened.workspace.day(),
              opened.workspace.session().hours().close());
          return chart.paintings();
        });
  }

  @Tag("proof")
  @Test
  void theDaysZoomMoveAndComeBack(FxRobot robot) {
    until(() -> days.barsDrawn() == fitting());
    robot.moveTo(days).scroll(3, javafx.geometry.VerticalDirection.UP);
    until(() -> days.barsDrawn() < fitting() / 1.5);
    int zoomed = days.barsDrawn();
    robot.press(MouseButton.PRIMARY).moveBy(80, 0).release(MouseButton.PRIMARY);
    until(() -> days.barsDrawn() >= zoomed);
    robot.moveTo(days).scroll(12, javafx.geometry.VerticalDirection.DOWN);
    until(() -> days.barsDrawn() > fitting());
    doubleClick(robot, days, () -> days.barsDrawn() == fitting());
  }

  /** Five pixels a day beside the scale, and room for the next one. */
  private int fitting() {
    return (int) ((days.getWidth() - 88) / 5) - 1;
  }

  /** A machine that halts between two clicks makes single ones of them: then it is done again. */
  private static void doubleClick(FxRobot robot, Node on, Callable<Boolean> done) {
    for (int tries = 0; tries < 5; tries++) {
      robot.doubleClickOn(on);
      if (WaitForAsyncUtils.waitForAsyncFx(20_000, done)) {
        return;
      }
    }
    until(done);
  }

  @Tag("proof")
  @Test
  void theDaysAreMeasuredAndTakeLevelsToo(FxRobot robot) {
    robot.moveTo(days).press(MouseButton.SECONDARY);
    robot.moveBy(-60, -10).release(MouseButton.SECONDARY);
    until(days::isMeasuring);

    robot.clickOn("Draw").moveTo(days).clickOn(MouseButton.PRIMARY);
    until(() -> levels().size() == 1);
    assertThat(levels().getFirst().kind()).isEqualTo(LevelKind.BY_HAND);

    robot.moveBy(-80, 10).press(MouseButton.PRIMARY).moveBy(60, -10);
    robot.release(MouseButton.PRIMARY);
    until(() -> levels().size() == 2);
    Level line = levels().getLast();
    assertThat(line.kind()).isEqualTo(LevelKind.TREND_LINE);
    assertThat(line.rise()).isPositive();
    assertThat(opened.workspace.window().action().get()).startsWith("Trend line");
  }

  @Tag("proof")
  @Test
  void theCrosshairIsThatOfAllCharts(FxRobot robot) {
    robot.moveTo(chart);
    until(() -> pointed() != null);
    assertThat(pointed().symbol()).isEqualTo("TIDARC");
    assertThat(pointed().date()).isEqualTo(opened.workspace.day());
    assertThat(pointed().moment()).isBetween(DayTime.FIRST, DayTime.of(10, 45));
    assertThat(pointed().price()).isBetween(5.0, 12.0);

    robot.moveTo(days);
    until(() -> pointed() != null && pointed().moment() == PointedAt.WHOLE_DAY);
    assertThat(pointed().date()).isBefore(opened.workspace.day());
  }

  private PointedAt pointed() {
    return opened.workspace.window().pointed().get();
  }
}
