package kelvo.desktop.grid;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Scene;
import javafx.stage.Stage;
import kelvo.desktop.PlacedStage;
import kelvo.desktop.RealWindow;
import kelvo.desktop.theme.Theme;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** A list sorted by its header and written as CSV. */
@ExtendWith(RealWindow.class)
class GridTest {
  private static final List<String> GIVEN = List.of("688K", "2.4M", "", "9,120");

  private Grid<String> grid;

  @TempDir Path folder;

  @Start
  void start(Stage stage) {
    Theme.loadFonts();
    grid = new Grid<>("Volumes", row -> row);
    grid.columns(List.of(GridColumn.numbers("Volume", "Shares.", 80, row -> row)));
    grid.rows(GIVEN);
    PlacedStage.show(stage, new Scene(grid, 200, 200));
  }

  @Test
  void aHeaderSortsDownThenUpThenGivesTheOwnOrderBack(FxRobot robot) {
    robot.moveTo(grid).moveBy(-60, -90).clickOn();
    assertThat(grid.rows()).containsExactly("2.4M", "688K", "9,120", "");
    robot.clickOn();
    assertThat(grid.rows()).containsExactly("9,120", "688K", "2.4M", "");
    robot.clickOn();
    assertThat(grid.rows()).containsExactlyElementsOf(GIVEN);
  }

  @Test
  void theListIsWrittenAsItStands() throws Exception {
    Path file = folder.resolve("volumes.csv");

    assertThat(grid.write(file)).isEqualTo("Wrote 4 rows to volumes.csv");
    assertThat(Files.readAllLines(file)).containsExactly("Volume", "688K", "2.4M", "", "\"9,120\"");
    assertThat(grid.write(folder.resolve("none/volumes.csv"))).contains("choose another place");
  }
}
