package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CountDownLatch;
import javafx.application.Platform;
import javafx.stage.Stage;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.shell.MainWindow;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;
import org.HdrHistogram.Histogram;

/**
 * A thousand hits a second for a minute, on the Live stage of the real window: how long its thread
 * is busy, and whether the ledger has every hit.
 */
final class HitFlood {
  private static final int SECURITIES = 3_000;
  private static final int A_SECOND = 1_000;
  private static final int SECONDS = 60;
  private static final int WARM_UP = 100;
  private static final double MICROS = 1e3;

  private final Histogram busy = new Histogram(3);
  private final CountDownLatch done = new CountDownLatch(1);
  private Workspace workspace;
  private long began;
  private int moments;

  private HitFlood() {}

  /** Measures, on the platform that {@link LiveTimes} has started. */
  static void print() throws IOException, InterruptedException {
    new HitFlood().measure();
  }

  private void measure() throws IOException, InterruptedException {
    int prints = A_SECOND * SECONDS;
    Session session =
        BenchMarket.quoted(SECURITIES, prints, SessionHours.OPEN, 1_000_000_000L / A_SECOND);
    Path folder = Files.createTempDirectory("kelvo-flood");
    OpenedDay like =
        OpenedDay.open(DemoSession.folder(SECURITIES), DemoSize.SESSION, Progress.NONE);
    Scan every = every(like.files().scans().inUse().getFirst());
    SessionRun run = SessionRun.unplayed(session, new Program(List.of(every), List.of()));
    Ledger ledger = Ledger.open(folder.resolve(OpenedDay.LEDGER));
    OpenedDay day = like.with(session, List.of(every), run, ledger);
    Platform.runLater(() -> open(day));
    done.await();
    CountDownLatch closed = new CountDownLatch(1);
    Platform.runLater(
        () -> {
          workspace.close();
          closed.countDown();
        });
    closed.await();
    int kept;
    try (Ledger again = Ledger.readOnly(folder.resolve(OpenedDay.LEDGER))) {
      kept = again.hits(session.hours().date()).size();
    }
    System.out.printf(
        Locale.ROOT,
        "a thousand hits a second for a minute: the window's thread is busy p50 %.1f, p99 %.1f, at most %.1f ms a moment; %,d of %,d hits in the ledger%n",
        busy.getValueAtPercentile(50) / MICROS,
        busy.getValueAtPercentile(99) / MICROS,
        busy.getMaxValue() / MICROS,
        kept,
        prints);
  }

  /** Each print is a hit. */
  private static Scan every(Scan like) {
    return new Scan(
        "Every print",
        "",
        Universe.EVERYONE,
        like.from(),
        DayTime.of(16, 0),
        List.of(),
        List.of(),
        Trigger.parse("print of 1 shares"),
        like.fold(),
        like.side(),
        like.limit(),
        List.of(),
        List.of());
  }

  private void open(OpenedDay day) {
    workspace = new Workspace(day, SessionHours.OPEN - 1, Theme.DAYBREAK);
    workspace.clock().shown().addListener((o, was, is) -> began = System.nanoTime());
    MainWindow window = new MainWindow(workspace, List.of());
    Stage stage = new Stage();
    stage.setScene(window.scene(1280, 800));
    stage.show();
    workspace.window().stage().set(LiveStage.KIND);
    new MomentEnd(workspace, this::ends).follow();
    workspace.clock().ask(run -> run.hits().size(), all -> workspace.clock().play(1));
  }

  private void ends() {
    moments++;
    if (moments > WARM_UP && workspace.clock().speed().get() > 0) {
      busy.recordValue((System.nanoTime() - began) / 1_000);
    }
    boolean over = workspace.clock().now() >= SessionHours.OPEN + (SECONDS + 1) * 1_000_000_000L;
    if (over && workspace.clock().speed().get() > 0) {
      workspace.clock().play(0);
      done.countDown();
    }
  }
}
