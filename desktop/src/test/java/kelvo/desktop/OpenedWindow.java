package kelvo.desktop;

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
import kelvo.sim.DemoSize;
import org.testfx.util.WaitForAsyncUtils;

/** The real window on a copy of the demo folder, for tests on JavaFX's Headless platform. */
final class OpenedWindow {
  final Path folder;
  final Workspace workspace;
  final MainWindow window;

  private OpenedWindow(Path folder, Workspace workspace, MainWindow window) {
    this.folder = folder;
    this.workspace = workspace;
    this.window = window;
  }

  /** Opens the day of a fresh copy in a stage; call on the window's thread. */
  static OpenedWindow open(Stage stage, long moment) {
    return open(DemoCopy.make(), stage, moment);
  }

  /** Opens the day of a folder in a stage; call on the window's thread. */
  static OpenedWindow open(Path folder, Stage stage, long moment) {
    Theme.loadFonts();
    OpenedDay day = OpenedDay.open(folder, DemoSize.SESSION, Progress.NONE);
    Workspace workspace = new Workspace(day, moment, Theme.DAYBREAK);
    MainWindow window = new MainWindow(workspace, day.faults());
    PlacedStage.show(stage, window.scene(1280, 800));
    return new OpenedWindow(folder, workspace, window);
  }

  /** Closes the work and removes the folder; on any thread but the window's. */
  void close() {
    WaitForAsyncUtils.waitForAsyncFx(20_000, workspace::close);
    DemoCopy.remove(folder);
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
          20, TimeUnit.SECONDS, () -> WaitForAsyncUtils.waitForAsyncFx(20_000, so));
    } catch (TimeoutException e) {
      throw new AssertionError("it did not become so within 20 seconds", e);
    }
  }
}
