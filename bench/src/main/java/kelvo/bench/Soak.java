package kelvo.bench;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.application.Platform;
import javafx.stage.Stage;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.feed.FeedAddress;
import kelvo.data.folder.DataFolder;
import kelvo.desktop.live.LiveStage;
import kelvo.desktop.shell.MainWindow;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.EveOfSession;
import kelvo.sim.FeedServer;
import kelvo.time.DayTime;

/**
 * Two live days one after another in one process, at sixty times their speed, with corrections, a
 * line that is cut and scans that are edited all the time: what the window keeps in memory at each
 * whole hour, how many threads there are, and what has gone wrong.
 */
final class Soak {
  private static final int DAYS = 2;
  private static final double SPEED = Integer.getInteger("kelvo.soak.speed", 60);
  private static final int SECURITIES = 3_000;
  private static final int PRINTS = 1_000_000;
  private static final int SECONDS_BETWEEN_CUTS = 15;
  private static final int SECONDS_BETWEEN_EDITS = 20;
  private static final double MEGA = 1e6;

  private final AtomicInteger uncaught = new AtomicInteger();
  private final SplittableRandom random = new SplittableRandom(20_310_312);
  private final Map<String, Rule> takenOut = new HashMap<>();
  private Workspace workspace;
  private Stage stage;
  private int cuts;
  private int edits;

  private Soak() {}

  /** Runs the days on the platform that {@link LiveTimes} has started. */
  static void print() throws IOException, InterruptedException {
    Soak soak = new Soak();
    Thread.setDefaultUncaughtExceptionHandler(
        (thread, e) -> {
          soak.uncaught.incrementAndGet();
          System.err.println(thread.getName());
          e.printStackTrace();
        });
    Path original = Files.createTempDirectory("kelvo-soak");
    DemoFolder.write(
        original,
        new DemoSize(SECURITIES, 60, PRINTS, DemoSize.SESSION),
        DemoFolder.SEED,
        Progress.NONE);
    for (int day = 1; day <= DAYS; day++) {
      soak.day(day, original);
    }
  }

  private void day(int number, Path original) throws IOException, InterruptedException {
    Session session =
        CorrectedDay.of(
            new DataFolder(original, new ExchangeCalendar())
                .session(DemoSize.SESSION, Progress.NONE));
    Path recorded = Files.createTempDirectory("kelvo-soak");
    EveOfSession.write(original, recorded);
    try (FeedServer server =
        new FeedServer(
            session,
            List.of(),
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
            "",
            null,
            DayTime.FIRST,
            SPEED,
            System::nanoTime)) {
      server.start();
      OpenedDay day =
          OpenedDay.live(
              new FeedAddress(URI.create("ws://localhost:" + server.port()), ""),
              recorded,
              null,
              Progress.NONE);
      inWindow(() -> open(day));
      goOn(number, server);
      inWindow(this::close);
    }
    say("day %d is over: %s", number, memory());
  }

  private void open(OpenedDay day) {
    workspace = new Workspace(day, DayTime.FIRST, Theme.DAYBREAK);
    MainWindow window = new MainWindow(workspace, List.of());
    stage = new Stage();
    stage.setScene(window.scene(1280, 800));
    stage.show();
    workspace.window().stage().set(LiveStage.KIND);
    workspace.focus().on("TIDARC");
  }

  private void close() {
    workspace.close();
    stage.close();
  }

  /** Cuts and edits once in some seconds until the day is over. */
  private void goOn(int number, FeedServer server) throws InterruptedException {
    CountDownLatch never = new CountDownLatch(1);
    long nextHour = DayTime.of(5, 0);
    for (int second = 1; server.moment() < DayTime.LAST; second++) {
      never.await(1, TimeUnit.SECONDS);
      if (second % SECONDS_BETWEEN_CUTS == 0) {
        server.cut();
        cuts++;
      }
      if (second % SECONDS_BETWEEN_EDITS == 0) {
        inWindow(this::edit);
        edits++;
      }
      if (server.moment() >= nextHour) {
        hour(number, nextHour);
        nextHour += DayTime.HOUR;
      }
    }
  }

  private void hour(int number, long hour) throws InterruptedException {
    inWindow(
        () ->
            say(
                "  day %d %s  %s, %,d events, %,d hits, %d cuts, %d edits, %d troubles %s, %d uncaught",
                number,
                DayTime.minutes(hour),
                memory(),
                workspace.session().tape().size(),
                workspace.clock().hits().size(),
                cuts,
                edits,
                workspace.troubles().count(),
                workspace.troubles().newest().get().stream().limit(2).toList(),
                uncaught.get()));
  }

  /** Takes the last rule out of a scan, or puts it back. */
  private void edit() {
    List<Scan> scans = workspace.desk().scans();
    Scan scan = scans.get(random.nextInt(scans.size()));
    Rule away = takenOut.remove(scan.name());
    List<Rule> rules = new ArrayList<>(scan.rules());
    if (away != null) {
      rules.add(away);
    } else if (rules.size() > 1) {
      takenOut.put(scan.name(), rules.removeLast());
    }
    workspace.desk().change(scan, scan.withRules(rules));
  }

  private static String memory() {
    System.gc();
    Runtime runtime = Runtime.getRuntime();
    return String.format(
        Locale.ROOT,
        "heap %.0f MB, %d threads",
        (runtime.totalMemory() - runtime.freeMemory()) / MEGA,
        Thread.getAllStackTraces().size());
  }

  private static void inWindow(Runnable action) throws InterruptedException {
    CountDownLatch done = new CountDownLatch(1);
    Platform.runLater(
        () -> {
          try {
            action.run();
          } finally {
            done.countDown();
          }
        });
    done.await();
  }

  private static void say(String format, Object... values) {
    System.out.printf(Locale.ROOT, format + "%n", values);
  }
}
