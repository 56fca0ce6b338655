package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import kelvo.desktop.days.DailyPart;
import kelvo.desktop.facts.FactsPart;
import kelvo.desktop.grid.Grid;
import kelvo.desktop.live.LiveParts;
import kelvo.desktop.morning.ChartWall;
import kelvo.desktop.prints.PrintsPart;
import kelvo.desktop.symbolnews.SymbolNewsPart;
import kelvo.desktop.windows.PlacedPart;
import kelvo.desktop.windows.WindowSets;
import kelvo.desktop.workspace.PartKind;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Parts in windows of their own, which follow the focus or are pinned, a set a phase. */
@ExtendWith(RealWindow.class)
class PartWindowsTest {
  private static final long PREMARKET = DayTime.of(8, 50);
  private static final long MORNING = DayTime.of(10, 30);

  @TempDir Path folder;
  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, PREMARKET);
  }

  @BeforeEach
  void focus() {
    until(() -> opened.shown().isThere());
    onWindowThread(() -> opened.window.windows().keepIn(folder, WindowSets.NONE));
    focusOn("TIDARC");
  }

  @AfterEach
  void close() {
    onWindowThread(() -> opened.window.windows().close());
    opened.close();
  }

  private static void onWindowThread(Runnable action) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, action);
  }

  private void focusOn(String symbol) {
    onWindowThread(() -> opened.workspace.focus().on(symbol));
    until(() -> opened.shown().focus().equals(symbol));
  }

  private static List<String> titles() {
    return WaitForAsyncUtils.waitForAsyncFx(
        20_000,
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
    return WaitForAsyncUtils.waitForAsyncFx(20_000, () -> opened.window.windows().placed());
  }

  @Tag("proof")
  @Test
  void theKeyOffersThePartsAndEnterOpensOne(FxRobot robot) {
    robot.type(KeyCode.O);
    robot.clickOn("Daily chart");
    until(() -> titles().equals(List.of("TIDARC · Daily chart")));
  }

  @Tag("proof")
  @Test
  void anUnpinnedWindowFollowsTheFocusAndAPinnedOneStays(FxRobot robot) {
    open(PrintsPart.KIND, SymbolNewsPart.KIND);
    until(() -> titles().equals(List.of("TIDARC · News", "TIDARC · Prints")));
    robot.clickOn(
        robot
            .from(robot.window("TIDARC · News").getScene().getRoot())
            .lookup(
                (Node n) -> n instanceof ToggleButton b && b.getText().equals("Follows the focus"))
            .<ToggleButton>query());
    until(() -> placed().stream().anyMatch(p -> p.symbol().equals("TIDARC")));

    focusOn("ORBTOW");

    until(() -> titles().equals(List.of("ORBTOW · Prints", "TIDARC · News")));
    onWindowThread(() -> opened.workspace.clock().seek(MORNING));
    until(() -> opened.shown().moment() == MORNING);
    until(() -> headers("TIDARC").stream().anyMatch(text -> text.startsWith("Tidal Arc Power")));
    assertThat(headers("ORBTOW")).noneMatch(text -> text.startsWith("Tidal Arc Power"));
  }

  /** What the labels of the windows of a symbol say. */
  private static List<String> headers(String symbol) {
    return WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () ->
            Window.getWindows().stream()
                .filter(
                    w -> w instanceof Stage s && String.valueOf(s.getTitle()).startsWith(symbol))
                .flatMap(w -> w.getScene().getRoot().lookupAll(".label").stream())
                .map(label -> ((Label) label).getText())
                .toList());
  }

  @Tag("proof")
  @Test
  void whatStandsOnLiveStandsInWindowsOfItsOwnOnceEach() {
    LiveParts.ALL.forEach(kind -> open(kind, kind));
    open(ChartWall.KIND);
    assertThat(placed())
        .extracting(PlacedPart::part)
        .containsExactly("WATCH", "STREAM", "HALTS", "ALERTS", "WALL");
    onWindowThread(() -> opened.workspace.clock().seek(MORNING));
    until(() -> opened.shown().moment() == MORNING);
    until(() -> rowsOf("Stream") > 0);
    onWindowThread(() -> opened.workspace.clock().seek(DayTime.of(15, 30)));
    until(() -> rowsOf("Halts") > 0);
  }

  /** How many rows the first table of a window with this title has. */
  private static int rowsOf(String title) {
    return Window.getWindows().stream()
        .filter(w -> w instanceof Stage s && title.equals(s.getTitle()))
        .flatMap(w -> w.getScene().getRoot().lookupAll("*").stream())
        .filter(node -> node instanceof Grid<?>)
        .findFirst()
        .map(node -> ((Grid<?>) node).rows().size())
        .orElse(0);
  }

  @Tag("proof")
  @Test
  void eachPhaseGetsItsOwnSetBack() {
    open(PrintsPart.KIND);
    goTo(MORNING);
    assertThat(placed()).extracting(PlacedPart::part).containsExactly(PrintsPart.KIND.id());
    open(FactsPart.KIND);
    goTo(PREMARKET);
    until(() -> placed().size() == 1);
    assertThat(placed()).extracting(PlacedPart::part).containsExactly(PrintsPart.KIND.id());
    goTo(MORNING);
    until(() -> placed().size() == 2);
    assertThat(placed())
        .extracting(PlacedPart::part)
        .containsExactly(PrintsPart.KIND.id(), FactsPart.KIND.id());
  }

  /** Goes to a moment and waits until its phase's set has been taken up. */
  private void goTo(long moment) {
    onWindowThread(() -> opened.workspace.clock().seek(moment));
    String phase = opened.workspace.session().phases().at(moment).name();
    until(() -> opened.window.windows().phase().equals(phase));
  }

  @Test
  void whatIsOpenWhenTheWindowClosesComesBack() {
    open(DailyPart.KIND);
    List<PlacedPart> before = placed();
    onWindowThread(() -> opened.window.windows().close());
    assertThat(titles()).isEmpty();

    WindowSets kept = WindowSets.in(folder, wrong -> {});
    onWindowThread(() -> opened.window.windows().keepIn(folder, kept));

    assertThat(placed()).isEqualTo(before);
    assertThat(titles()).containsExactly("TIDARC · Daily chart");
  }
}
