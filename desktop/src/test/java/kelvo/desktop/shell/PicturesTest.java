package kelvo.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.scene.Scene;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import kelvo.desktop.PlacedStage;
import kelvo.desktop.RealWindow;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.morning.MorningStage;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Pictures of views, as the demo's command writes them. */
@ExtendWith(RealWindow.class)
class PicturesTest {
  @TempDir Path folder;
  @TempDir Path written;
  private Stage stage;
  private Workspace workspace;
  private Scene scene;
  private String symbol;

  @Start
  void start(Stage opened) {
    stage = opened;
  }

  @BeforeEach
  void open() throws IOException {
    DemoFolder.write(folder, new DemoSize(60, 30, 6_000, DemoSize.SESSION), 7, Progress.NONE);
    OpenedDay day = OpenedDay.open(folder, DemoSize.SESSION, Progress.NONE);
    symbol = day.session().security(0).symbol();
    WaitForAsyncUtils.waitForAsyncFx(
        20_000,
        () -> {
          Theme.loadFonts();
          workspace = new Workspace(day, DayTime.of(9, 0), Theme.DAYBREAK);
          scene = new MainWindow(workspace, day.faults()).scene(1280, 800);
          PlacedStage.show(stage, scene);
        });
  }

  @AfterEach
  void close() {
    WaitForAsyncUtils.waitForAsyncFx(20_000, workspace::close);
  }

  private int take(Path to, Pictures.Shot... shots)
      throws ExecutionException, InterruptedException, TimeoutException {
    CompletableFuture<Integer> ended = new CompletableFuture<>();
    WaitForAsyncUtils.waitForAsyncFx(
        5_000, () -> new Pictures(workspace, scene, to, List.of(shots), ended::complete).start());
    return ended.get(60, TimeUnit.SECONDS);
  }

  @Tag("proof")
  @Test
  void twoViewsOfTheSameMomentAreBothTaken()
      throws ExecutionException, IOException, InterruptedException, TimeoutException {
    int code =
        take(
            written,
            new Pictures.Shot("first", MorningStage.KIND, "09:40:00", symbol, Theme.DAYBREAK),
            new Pictures.Shot("second", LiveStage.KIND, "09:40:00", symbol, Theme.DAYBREAK),
            new Pictures.Shot("third", LiveStage.KIND, "09:40:00", symbol, Theme.NIGHT));

    assertThat(code).isZero();
    BufferedImage first = ImageIO.read(written.resolve("first-daybreak.png").toFile());
    BufferedImage second = ImageIO.read(written.resolve("second-daybreak.png").toFile());
    BufferedImage third = ImageIO.read(written.resolve("third-night.png").toFile());
    assertThat(List.of(first, second, third))
        .allMatch(image -> image.getWidth() == 1280 && image.getHeight() == 800);
    assertThat(differing(first, second)).as("another stage").isGreaterThan(0.05);
    assertThat(differing(second, third)).as("another theme").isGreaterThan(0.5);
    assertThat(workspace.clock().now()).isEqualTo(DayTime.of(9, 40));
  }

  @Tag("proof")
  @Test
  void thePageOfSettingsIsOnItsOwnPictureOnly()
      throws ExecutionException, IOException, InterruptedException, TimeoutException {
    take(
        written,
        new Pictures.Shot("before", MorningStage.KIND, "09:40:00", symbol, Theme.DAYBREAK),
        new Pictures.Shot("settings", MorningStage.KIND, "09:40:00", symbol, Theme.DAYBREAK),
        new Pictures.Shot("after", MorningStage.KIND, "09:40:00", symbol, Theme.DAYBREAK));

    BufferedImage before = ImageIO.read(written.resolve("before-daybreak.png").toFile());
    BufferedImage page = ImageIO.read(written.resolve("settings-daybreak.png").toFile());
    BufferedImage after = ImageIO.read(written.resolve("after-daybreak.png").toFile());
    assertThat(differing(before, page)).isGreaterThan(0.05);
    assertThat(differing(before, after)).isLessThan(0.05);
  }

  @Tag("proof")
  @Test
  void aFolderThatCannotBeMadeEndsWithACode()
      throws ExecutionException, IOException, InterruptedException, TimeoutException {
    Path file = Files.writeString(written.resolve("taken"), "a file");

    assertThat(
            take(
                file,
                new Pictures.Shot("first", LiveStage.KIND, "09:40:00", symbol, Theme.DAYBREAK)))
        .isEqualTo(2);
  }

  private static double differing(BufferedImage one, BufferedImage other) {
    long differ = 0;
    for (int y = 0; y < one.getHeight(); y++) {
      for (int x = 0; x < one.getWidth(); x++) {
        differ += one.getRGB(x, y) != other.getRGB(x, y) ? 1 : 0;
      }
    }
    return differ / (double) (one.getWidth() * one.getHeight());
  }

  @Tag("proof")
  @Test
  void aDayThatIsOnlyShownIsLeftAsItWas()
      throws ExecutionException, InterruptedException, TimeoutException {
    workspace.end().keepNothing();
    take(
        written,
        new Pictures.Shot("one", LiveStage.KIND, "11:40:00", symbol, Theme.DAYBREAK),
        new Pictures.Shot("two", LiveStage.KIND, "15:40:00", symbol, Theme.DAYBREAK));
    WaitForAsyncUtils.waitForAsyncFx(20_000, workspace::close);

    OpenedDay again = OpenedDay.open(folder, DemoSize.SESSION, Progress.NONE);
    assertThat(again.connections().ledger().leftAt(DemoSize.SESSION)).isEmpty();
    again.connections().ledger().close();
    again.connections().release();
  }
}
