package kelvo.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.stage.Stage;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.shell.MainWindow;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.windows.PlacedPart;
import kelvo.desktop.windows.WindowSets;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.hit.Hit;
import kelvo.job.Progress;
import kelvo.session.Session;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import org.HdrHistogram.Histogram;

/**
 * The real window on a market of 8,000 securities: 30 scans, 5 watchlists, 40 alerts, with and
 * without 20 charts in windows of their own, at ten times the speed of the day from 09:29 on. How
 * long the window's thread is busy, and how long after an event was due its hit is known to the
 * window (the floor), it rings, and the frame with it begins.
 */
final class LiveTimes {
  private static final int SECURITIES = 8_000;
  private static final int CHARTS = 20;
  private static final double SPEED = 10;
  private static final long FROM = DayTime.of(9, 29);
  private static final long WARM_UNTIL = DayTime.of(9, 32);
  private static final long UNTIL = DayTime.of(9, 49);
  private static final double MICROS = 1e3;

  private final Histogram busy = new Histogram(3);
  private final Histogram known = new Histogram(3);
  private final Histogram rang = new Histogram(3);
  private final Histogram drawn = new Histogram(3);
  private final CountDownLatch done = new CountDownLatch(1);
  private final List<Long> waitingForFrame = new ArrayList<>();
  private Workspace workspace;
  private long began;
  private int frames;
  private long firstFrame;
  private long lastFrame;
  private int hitsSeen;

  /** The earliest wall-clock time at which moment 0 of the day may have been, nanoseconds. */
  private long anchor = Long.MAX_VALUE;

  private final int charts;

  private LiveTimes(int charts) {
    this.charts = charts;
  }

  /** What is measured. */
  enum Part {
    WINDOW,
    WITH_CHARTS,
    FLOOD,
    MEMORY,
    SOAK
  }

  /** Measures a part in a process of its own, as large as a window's. */
  static void start(Part part) throws IOException, InterruptedException {
    new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-Xmx3g",
            "-XX:+UseCompactObjectHeaders",
            "--enable-native-access=ALL-UNNAMED",
            "-Dkelvo.bench.folder=" + System.getProperty("kelvo.bench.folder", ""),
            "-cp",
            System.getProperty("java.class.path"),
            LiveTimes.class.getName(),
            part.name())
        .inheritIO()
        .start()
        .waitFor();
  }

  /** The process that measures; its argument is the part. */
  public static void main(String[] args) throws IOException, InterruptedException {
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
    Platform.startup(Theme::loadFonts);
    Platform.setImplicitExit(false);
    switch (Part.valueOf(args[0])) {
      case WINDOW -> new LiveTimes(0).measure(DemoSession.folder(SECURITIES));
      case WITH_CHARTS -> new LiveTimes(CHARTS).measure(DemoSession.folder(SECURITIES));
      case FLOOD -> HitFlood.print();
      case MEMORY -> DayMemory.print();
      case SOAK -> Soak.print();
    }
    System.exit(0);
  }

  private void measure(Path folder) throws InterruptedException {
    LiveProgram.writeTo(folder);
    OpenedDay day = OpenedDay.open(folder, DemoSize.SESSION, Progress.NONE);
    Platform.runLater(() -> open(day, folder));
    done.await();
    CountDownLatch closed = new CountDownLatch(1);
    Platform.runLater(
        () -> {
          workspace.close();
          closed.countDown();
        });
    closed.await();
    System.out.printf(
        Locale.ROOT,
        "%d charts in windows of their own: the window's thread is busy p50 %.1f, p99 %.1f, at most %.1f ms a moment; %.0f frames a second%n",
        charts,
        busy.getValueAtPercentile(50) / MICROS,
        busy.getValueAtPercentile(99) / MICROS,
        busy.getMaxValue() / MICROS,
        (frames - 1) * 1e9 / (lastFrame - firstFrame));
    line("event to hit known to the window (the floor)", known);
    line("event to ring", rang);
    line("event to the frame that shows it", drawn);
  }

  private static void line(String what, Histogram times) {
    System.out.printf(
        Locale.ROOT,
        "  %s: p50 %.1f, p90 %.1f, p99 %.1f, at most %.1f ms (%,d)%n",
        what,
        times.getValueAtPercentile(50) / MICROS,
        times.getValueAtPercentile(90) / MICROS,
        times.getValueAtPercentile(99) / MICROS,
        times.getMaxValue() / MICROS,
        times.getTotalCount());
  }

  private void open(OpenedDay day, Path folder) {
    workspace = new Workspace(day, FROM, Theme.DAYBREAK);
    workspace.end().keepNothing();
    // The first and the last to hear of a moment: between them all parts paint.
    workspace.clock().shown().addListener((o, was, is) -> begins(is.moment()));
    MainWindow window = new MainWindow(workspace, List.of());
    Stage stage = new Stage();
    stage.setScene(window.scene(1280, 800));
    stage.show();
    workspace.window().stage().set(LiveStage.KIND);
    window.windows().keepIn(folder, charts(day.session()));
    workspace.alerts().newest().addListener((o, was, is) -> rings(is.event().at()));
    AnimationTimer timer =
        new AnimationTimer() {
          @Override
          public void handle(long now) {
            frame(now);
          }
        };
    timer.start();
    new MomentEnd(workspace, this::ends).follow();
    // Behind the window a recorded day is played through its scans first.
    workspace.clock().ask(run -> run.hits().size(), all -> workspace.clock().play(SPEED));
  }

  private WindowSets charts(Session session) {
    List<PlacedPart> placed = new ArrayList<>();
    for (int i = 0; i < charts; i++) {
      placed.add(
          new PlacedPart("INTRADAY", session.security(i).symbol(), 20 * i, 20 * i, 420, 300));
    }
    return WindowSets.NONE.with("premarket", placed).with("morning", placed);
  }

  private long due(long moment) {
    return anchor + (long) (moment / SPEED);
  }

  private boolean measures() {
    return workspace.clock().now() > WARM_UNTIL && workspace.clock().speed().get() > 0;
  }

  private void begins(long moment) {
    began = System.nanoTime();
    if (workspace.clock().speed().get() > 0) {
      anchor = Math.min(anchor, began - (long) (moment / SPEED));
    }
    List<Hit> hits = workspace.clock().hits();
    if (measures()) {
      for (int i = hitsSeen; i < hits.size(); i++) {
        record(known, began - due(hits.get(i).at()));
      }
    }
    hitsSeen = hits.size();
  }

  private void rings(long at) {
    if (measures()) {
      record(rang, System.nanoTime() - due(at));
      waitingForFrame.add(due(at));
    }
  }

  private void ends() {
    if (measures()) {
      record(busy, System.nanoTime() - began);
    }
    if (workspace.clock().now() >= UNTIL && workspace.clock().speed().get() > 0) {
      workspace.clock().play(0);
      done.countDown();
    }
  }

  private void frame(long now) {
    if (measures()) {
      firstFrame = frames == 0 ? now : firstFrame;
      lastFrame = now;
      frames++;
    }
    waitingForFrame.forEach(due -> record(drawn, System.nanoTime() - due));
    waitingForFrame.clear();
  }

  private static void record(Histogram times, long nanos) {
    times.recordValue(Math.max(0, nanos / 1_000));
  }
}
