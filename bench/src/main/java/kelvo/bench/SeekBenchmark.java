package kelvo.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import kelvo.check.CheckRule;
import kelvo.data.scanfile.ScanFile;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.player.PlayerListener;
import kelvo.player.SessionPlayer;
import kelvo.player.SessionRun;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.sim.PlantedStories;
import kelvo.sim.Story;
import kelvo.time.DayTime;
import kelvo.view.BreadthView;
import kelvo.view.CardsView;
import kelvo.view.CatalystFilter;
import kelvo.view.ClockView;
import kelvo.view.DaysView;
import kelvo.view.FactsView;
import kelvo.view.GapsView;
import kelvo.view.HaltsView;
import kelvo.view.HitsView;
import kelvo.view.MatchesView;
import kelvo.view.MinutesView;
import kelvo.view.NewsView;
import kelvo.view.PrintsView;
import kelvo.view.QuoteView;
import kelvo.view.SymbolNewsView;
import kelvo.view.View;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** Drags of the day rail over the demo session, with the collector that a window uses. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx3g", "-XX:+UseZGC", "-XX:+UseCompactObjectHeaders"})
@Warmup(iterations = 6)
@Measurement(iterations = 36)
public class SeekBenchmark {
  /** How many securities: the demo's, and as many as the whole market has. */
  @Param({"3000", "11000"})
  public int securities;

  private SessionPlayer player;
  private final BlockingQueue<Long> shown = new LinkedBlockingQueue<>();
  private long newest;
  private int seeks;

  /** Reads the market and plays it once. */
  @Setup
  public void read() throws IOException {
    Session session = DemoSession.of(securities);
    List<Scan> scans = ScanFile.shipped(Vocabulary.DEFAULT);
    SessionRun run = SessionRun.of(session, new Program(scans, List.of()), Progress.NONE);
    List<String> followed = PlantedStories.all().stream().map(Story::symbol).limit(10).toList();
    player = new SessionPlayer(run, DayTime.FIRST, new Shown(), System::nanoTime);
    player.follow(new ClockView(), clock -> newest = clock.moment());
    int focus = session.numberOf("TIDARC").orElseThrow();
    for (View<?> view :
        List.of(
            new HitsView(),
            new MatchesView(session, scans.getFirst()),
            new GapsView(session),
            new HaltsView(session),
            new BreadthView(),
            new CardsView(session, followed),
            new NewsView(session, CatalystFilter.ALL),
            new QuoteView(session, focus),
            new MinutesView(session, focus, 250_000),
            new DaysView(session, focus),
            new FactsView(session, focus, CheckRule.DEFAULT),
            new PrintsView(session, focus),
            new SymbolNewsView(session, focus))) {
      player.follow(view, answer -> {});
    }
  }

  /** Notes each moment of which all views have been answered. */
  private final class Shown implements PlayerListener {
    @Override
    public void hit(Hit hit) {}

    @Override
    public void played(long until) {}

    @Override
    public void published() {
      shown.add(newest);
    }

    @Override
    public void trouble(String what, Throwable cause) {
      throw new IllegalStateException(what, cause);
    }

    @Override
    public void stopped(Throwable cause) {
      throw new IllegalStateException(cause);
    }
  }

  /**
   * One drag of the day rail, back and forth between moments spread over the day: from the command
   * to the answers of all views at that moment, with a busy symbol in focus and the Ten followed.
   */
  @Benchmark
  public long seek() throws InterruptedException {
    seeks++;
    long moment = DayTime.FIRST + seeks * 7_919L * DayTime.SECOND % (DayTime.LAST - DayTime.FIRST);
    player.seek(moment);
    long moved = shown.take();
    while (moved != moment) {
      moved = shown.take();
    }
    return moved;
  }

  /** Stops the player's thread. */
  @TearDown
  public void close() {
    player.close();
  }
}
