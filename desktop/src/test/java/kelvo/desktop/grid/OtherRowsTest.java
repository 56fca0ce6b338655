package kelvo.desktop.grid;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import kelvo.desktop.PlacedStage;
import kelvo.desktop.RealWindow;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** A list holds still under the pointer against the market, but not against another list. */
@ExtendWith(RealWindow.class)
class OtherRowsTest {
  private Grid<String> grid;

  @Start
  void start(Stage stage) {
    grid = new Grid<>("Symbols", row -> row);
    grid.columns(List.of(GridColumn.words("Symbol", "The ticker", 80, row -> row)));
    PlacedStage.show(stage, new Scene(new StackPane(grid), 200, 200));
  }

  private void onWindowThread(Runnable action) {
    WaitForAsyncUtils.waitForAsyncFx(20_000, action);
  }

  @Test
  void rowsOfTheSameListWaitWhileThePointerIsOnIt(FxRobot robot) {
    onWindowThread(() -> grid.rows(List.of("TIDARC", "KELPOR")));
    robot.moveTo(grid);
    onWindowThread(() -> grid.rows(List.of("GENSED", "KELPOR", "TIDARC")));

    assertThat(grid.rows()).containsExactly("TIDARC", "KELPOR");
  }

  @Test
  void rowsOfAnotherListAreThereAtOnce(FxRobot robot) {
    onWindowThread(() -> grid.rows(List.of("TIDARC", "KELPOR")));
    robot.moveTo(grid);
    onWindowThread(() -> grid.otherRows(List.of("GENSED", "DENBOT")));

    assertThat(grid.rows()).containsExactly("GENSED", "DENBOT");
  }
}
