package kelvo.bench;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.stage.Stage;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.shell.MainWindow;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;

/**
 * What the real window keeps in memory while a day goes by on the Live stage, at sixty times its
 * speed from 04:00 to 20:00: the heap after a collection at each whole hour.
 */
final class DayMemory {
  private static final int SECURITIES = 3_000;
  private static final double SPEED = 60;
  private static final double MEGA = 1e6;

  private final CountDownLatch done = new CountDownLatch(1);
  private Workspace workspace;
  private long nextHour = DayTime.of(5, 0);

  private DayMemory() {}

  /** Measures, on the platform that {@link LiveTimes} has started. */
  static void print() throws IOException, InterruptedException {
    new DayMemory().measure();
  }

  private void measure() throws IOException, InterruptedException {
    OpenedDay day = OpenedDay.open(DemoSession.folder(SECURITIES), DemoSize.SESSION, Progress.NONE);
    Platform.runLater(() -> open(day));
    done.await();
  }

  private void open(OpenedDay day) {
    workspace = new Workspace(day, DayTime.FIRST, Theme.DAYBREAK);
    workspace.end().keepNothing();
    MainWindow window = new MainWindow(workspace, List.of());
    Stage stage = new Stage();
    stage.setScene(window.scene(1280, 800));
    stage.show();
    workspace.window().stage().set(LiveStage.KIND);
    workspace.focus().on("TIDARC");
    workspace.clock().shown().addListener((o, was, is) -> at(is.moment()));
    workspace.clock().ask(run -> run.hits().size(), all -> workspace.clock().play(SPEED));
  }

  private void at(long moment) {
    if (moment < nextHour || workspace.clock().speed().get() == 0) {
      return;
    }
    System.gc();
    Runtime runtime = Runtime.getRuntime();
    System.out.printf(
        Locale.ROOT,
        "  %s  heap %.0f MB, %d threads%n",
        DayTime.minutes(nextHour),
        (runtime.totalMemory() - runtime.freeMemory()) / MEGA,
        Thread.activeCount());
    nextHour += DayTime.HOUR;
    if (nextHour > DayTime.LAST) {
      workspace.clock().play(0);
      done.countDown();
    }
  }
}
