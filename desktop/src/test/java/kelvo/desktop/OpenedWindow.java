package kelvo.desktop;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.stage.Stage;
import kelvo.desktop.morning.MorningStage;
import kelvo.desktop.shell.MainWindow;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import org.testfx.util.WaitForAsyncUtils;

/** The real window on a small demo folder, for tests on JavaFX's Headless platform. */
final class OpenedWindow {
  private static final Path FOLDER = write();

  final Workspace workspace;
  final MainWindow window;

  private OpenedWindow(Workspace workspace, MainWindow window) {
    this.workspace = workspace;
    this.window = window;
  }

  private static Path write() {
    try {
      Path folder = Files.createTempDirectory("kelvo-demo");
      DemoFolder.write(folder, DemoSize.SMALL, DemoFolder.SEED, Progress.NONE);
      return folder;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static Path folder() {
    return FOLDER;
  }

  /**
   * Opens the day in a stage; call on the window's thread. The ledger starts empty unless it is
   * kept.
   */
  static OpenedWindow open(Stage stage, long moment, boolean keepLedger) {
    if (!keepLedger) {
      for (String file :
          new String[] {OpenedDay.LEDGER, OpenedDay.LEDGER + "-wal", OpenedDay.LEDGER + "-shm"}) {
        try {
          Files.deleteIfExists(FOLDER.resolve(file));
        } catch (IOException e) {
          throw new UncheckedIOException(e);
        }
      }
    }
    Theme.loadFonts();
    OpenedDay day = OpenedDay.open(FOLDER, DemoSize.SESSION, Progress.NONE);
    Workspace workspace = new Workspace(day, moment, Theme.DAYBREAK);
    MainWindow window = new MainWindow(workspace, day.faults());
    stage.setScene(window.scene(1280, 800));
    stage.show();
    return new OpenedWindow(workspace, window);
  }

  /** What it shows. */
  ShownDay shown() {
    return new ShownDay(workspace);
  }

  /** The Morning stage, which must be in front. */
  MorningStage morning() {
    return (MorningStage) window.shown();
  }

  /** Waits until something is so, looking on the window's thread. */
  static void until(Callable<Boolean> so) {
    try {
      WaitForAsyncUtils.waitFor(
          20, TimeUnit.SECONDS, () -> WaitForAsyncUtils.waitForAsyncFx(5_000, so));
    } catch (TimeoutException e) {
      throw new AssertionError("it did not become so within 20 seconds", e);
    }
  }
}
