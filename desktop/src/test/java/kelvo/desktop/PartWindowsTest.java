package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import kelvo.desktop.focus.PartKind;
import kelvo.desktop.windows.PlacedPart;
import kelvo.desktop.windows.WindowSets;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Parts in windows of their own, which follow the focus or are pinned, a set a phase. */
@ExtendWith(ApplicationExtension.class)
class PartWindowsTest {
  private static final long PREMARKET = DayTime.of(8, 50);
  private static final long MORNING = DayTime.of(10, 30);

  @TempDir Path folder;
  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, PREMARKET, false);
  }

  @BeforeEach
  void focus() {
    until(() -> opened.workspace.snapshot().get() != null);
    onWindowThread(() -> opened.window.windows().keepIn(folder, WindowSets.NONE));
    focusOn("TIDARC");
  }

  @AfterEach
  void close() {
    onWindowThread(
        () -> {
          opened.window.windows().close();
          opened.workspace.close();
        });
  }

  private static void onWindowThread(Runnable action) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, action);
  }

  private void focusOn(String symbol) {
    onWindowThread(() -> opened.workspace.focusOn(symbol));
    until(
        () ->
            opened.workspace.snapshot().get().focus() != null
                && opened.workspace.snapshot().get().focus().facts().symbol().equals(symbol));
  }

  private static List<String> titles() {
    return WaitForAsyncUtils.waitForAsyncFx(
        5_000,
        () ->
            Window.getWindows().stream()
                .filter(w -> w instanceof Stage)
                .map(w -> ((Stage) w).getTitle())
                .filter(title -> title != null && title.contains(" · "))
                .sorted()
                .toList());
  }

  private void open(PartKind... parts) {
    onWindowThread(
        () -> List.of(parts).forEach(p -> opened.window.windows().open(p, mainWindow())));
  }

  private Window mainWindow() {
    return opened.window.getScene().getWindow();
  }

  private List<PlacedPart> placed() {
    return WaitForAsyncUtils.waitForAsyncFx(5_000, () -> opened.window.windows().placed());
  }

  @Test
  void theKeyOffersThePartsAndEnterOpensOne(FxRobot robot) {
    robot.type(KeyCode.O);
    robot.clickOn("Daily chart");
    until(() -> titles().equals(List.of("TIDARC · Daily chart")));
  }

  @Test
  void anUnpinnedWindowFollowsTheFocusAndAPinnedOneStays(FxRobot robot) {
    open(PartKind.PRINTS, PartKind.NEWS);
    until(() -> titles().equals(List.of("TIDARC · News", "TIDARC · Prints")));
    robot.clickOn(
        robot
            .from(robot.window("TIDARC · News").getScene().getRoot())
            .lookup(
                (Node n) -> n instanceof ToggleButton b && b.getText().equals("Follows the focus"))
            .<ToggleButton>query());
    until(() -> opened.workspace.pinned().get().equals(List.of("TIDARC")));

    focusOn("ORBTOW");

    until(() -> titles().equals(List.of("ORBTOW · Prints", "TIDARC · News")));
    until(() -> opened.workspace.snapshot().get().of("TIDARC") != null);
    onWindowThread(() -> opened.workspace.seek(MORNING));
    until(() -> opened.workspace.snapshot().get().moment() == MORNING);
    assertThat(opened.workspace.snapshot().get().pinned())
        .singleElement()
        .satisfies(
            pinned -> {
              assertThat(pinned.facts().symbol()).isEqualTo("TIDARC");
              assertThat(pinned.minutes().getLast().start()).isLessThan(MORNING);
              assertThat(pinned.minutes().getLast().start())
                  .isGreaterThanOrEqualTo(MORNING - 5 * DayTime.MINUTE);
            });
  }

  @Test
  void eachPhaseGetsItsOwnSetBack() {
    open(PartKind.PRINTS);
    goTo(MORNING);
    assertThat(placed()).extracting(PlacedPart::part).containsExactly(PartKind.PRINTS);
    open(PartKind.FACTS);
    goTo(PREMARKET);
    until(() -> placed().size() == 1);
    assertThat(placed()).extracting(PlacedPart::part).containsExactly(PartKind.PRINTS);
    goTo(MORNING);
    until(() -> placed().size() == 2);
    assertThat(placed())
        .extracting(PlacedPart::part)
        .containsExactly(PartKind.PRINTS, PartKind.FACTS);
  }

  /** Goes to a moment and waits until its phase's set has been taken up. */
  private void goTo(long moment) {
    onWindowThread(() -> opened.workspace.seek(moment));
    String phase = opened.workspace.session().phases().at(moment).name();
    until(() -> opened.window.windows().phase().equals(phase));
  }

  @Test
  void whatIsOpenWhenTheWindowClosesComesBack() {
    open(PartKind.DAILY);
    List<PlacedPart> before = placed();
    onWindowThread(() -> opened.window.windows().close());
    assertThat(titles()).isEmpty();

    WindowSets kept = WindowSets.in(folder);
    onWindowThread(() -> opened.window.windows().keepIn(folder, kept));

    assertThat(placed()).isEqualTo(before);
    assertThat(titles()).containsExactly("TIDARC · Daily chart");
  }
}
