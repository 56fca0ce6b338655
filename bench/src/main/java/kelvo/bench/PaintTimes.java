package kelvo.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.stage.Stage;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.morning.MorningStage;
import kelvo.desktop.shell.MainWindow;
import kelvo.desktop.shell.WindowLayout;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.Followed;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.StageKind;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.scan.Scan;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import kelvo.view.ClockView;
import org.HdrHistogram.Histogram;

/**
 * How long the window's thread is busy with a moment, all parts that are shown painted: the real
 * window on the demo session, played at 60 times the speed of the day, on JavaFX's Headless
 * platform with its software pipeline.
 */
final class PaintTimes {
  private static final int SECURITIES = 3_000;
  private static final int WARM_UP = 150;
  private static final int MEASURED = 500;
  private static final double SPEED = 60;
  private static final double MICROS = 1e3;

  /**
   * What is looked at.
   *
   * @param from the moment from which the day is played, {@link DayTime}
   */
  private record Look(
      String name,
      StageKind stage,
      boolean wall,
      boolean everybody,
      String symbol,
      long from,
      WindowLayout layout) {}

  /** A year of days wants a wide focus side. */
  private static final WindowLayout WIDE = new WindowLayout(1280, 800, 0.1, 0.42, 0.7);

  private static final List<Look> LOOKS =
      List.of(
          new Look(
              "a full day of minutes and a year of days",
              LiveStage.KIND,
              false,
              false,
              "TIDARC",
              DayTime.of(15, 20),
              WIDE),
          new Look(
              "a wall of up to 40 charts",
              MorningStage.KIND,
              true,
              false,
              "TIDARC",
              DayTime.of(9, 0),
              WindowLayout.DEFAULT),
          new Look(
              "the gap field and the triage table",
              MorningStage.KIND,
              false,
              false,
              "TIDARC",
              DayTime.of(9, 0),
              WindowLayout.DEFAULT),
          new Look(
              "a list of 3,000 rows",
              MorningStage.KIND,
              false,
              true,
              "TIDARC",
              DayTime.of(9, 0),
              WindowLayout.DEFAULT));

  private final Histogram busy = new Histogram(3);
  private final CountDownLatch done = new CountDownLatch(1);
  private long began;
  private int snapshots;
  private int frames;
  private long firstFrame;
  private long lastFrame;

  private PaintTimes() {}

  /** Measures each view and prints its figures. */
  static void print() throws IOException, InterruptedException {
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
    Platform.startup(Theme::loadFonts);
    Platform.setImplicitExit(false);
    Path folder = DemoSession.folder(SECURITIES);
    for (Look view : LOOKS) {
      new PaintTimes().measure(view, folder);
    }
    Platform.exit();
  }

  private void measure(Look view, Path folder) throws InterruptedException {
    OpenedDay day = OpenedDay.open(folder, DemoSize.SESSION, Progress.NONE);
    Workspace[] opened = new Workspace[1];
    Platform.runLater(() -> opened[0] = open(view, day));
    done.await();
    CountDownLatch closed = new CountDownLatch(1);
    Platform.runLater(
        () -> {
          opened[0].close();
          closed.countDown();
        });
    closed.await();
    System.out.printf(
        Locale.ROOT,
        "%s: the window's thread is busy p50 %.1f, p99 %.1f, at most %.1f ms a moment; %.0f frames a second%n",
        view.name,
        busy.getValueAtPercentile(50) / MICROS,
        busy.getValueAtPercentile(99) / MICROS,
        busy.getMaxValue() / MICROS,
        (frames - 1) * 1e9 / (lastFrame - firstFrame));
  }

  private Workspace open(Look view, OpenedDay day) {
    Workspace workspace = new Workspace(day, view.from, Theme.DAYBREAK);
    // The first and the last to hear of a moment: between them all parts paint.
    workspace.clock().shown().addListener((o, was, is) -> began = System.nanoTime());
    MainWindow window = new MainWindow(workspace, List.of());
    Stage stage = new Stage();
    stage.setScene(window.scene(view.layout.width(), view.layout.height()));
    window.arrange(view.layout);
    stage.show();
    workspace.window().stage().set(view.stage);
    workspace.window().wall().set(view.wall);
    if (view.everybody) {
      workspace.shownScan().set(everybody(workspace.shownScan().get()));
    }
    workspace.focus().on(view.symbol);
    AnimationTimer timer =
        new AnimationTimer() {
          @Override
          public void handle(long now) {
            frame(now);
          }
        };
    timer.start();
    Followed<ClockView.Clock> last =
        new Followed<>(
            workspace.clock(),
            clock -> {
              painted();
              if (snapshots == WARM_UP + MEASURED) {
                timer.stop();
                workspace.clock().play(0);
                stage.close();
                done.countDown();
              }
            });
    last.follow(new ClockView());
    workspace.clock().play(SPEED);
    return workspace;
  }

  /** A scan that lists every security, all day. */
  private static Scan everybody(Scan like) {
    return new Scan(
        "Everybody",
        "",
        like.universe(),
        DayTime.FIRST,
        DayTime.LAST,
        List.of(),
        List.of(),
        List.of(),
        like.fold(),
        like.side(),
        SECURITIES,
        like.sort(),
        like.columns());
  }

  private void frame(long now) {
    if (snapshots >= WARM_UP) {
      firstFrame = frames == 0 ? now : firstFrame;
      lastFrame = now;
      frames++;
    }
  }

  private void painted() {
    snapshots++;
    if (snapshots > WARM_UP) {
      busy.recordValue((System.nanoTime() - began) / 1_000);
    }
  }
}
