package kelvo.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import kelvo.data.scanfile.ScanFile;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.player.SessionPlayer;
import kelvo.player.SessionRun;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.sim.PlantedStories;
import kelvo.sim.Story;
import kelvo.time.DayTime;
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
  private final BlockingQueue<MarketSnapshot> shots = new LinkedBlockingQueue<>();
  private int seeks;

  /** Reads the market and plays it once. */
  @Setup
  public void read() throws IOException {
    Session session = DemoSession.of(securities);
    List<Scan> scans = ScanFile.shipped(Vocabulary.USUAL);
    SessionRun run = SessionRun.of(session, new Program(scans, List.of()), Progress.NONE);
    List<String> followed = PlantedStories.all().stream().map(Story::symbol).limit(10).toList();
    SnapshotRequest request = new SnapshotRequest(scans.getFirst(), "TIDARC", followed);
    player =
        new SessionPlayer(run, DayTime.FIRST, request, shots::add, hit -> {}, System::nanoTime);
  }

  /**
   * One drag of the day rail, back and forth between moments spread over the day: from the command
   * to the snapshot of that moment, with a busy symbol in focus and the Ten followed.
   */
  @Benchmark
  public MarketSnapshot seek() throws InterruptedException {
    seeks++;
    long moment = DayTime.FIRST + seeks * 7_919L * DayTime.SECOND % (DayTime.LAST - DayTime.FIRST);
    player.seek(moment);
    MarketSnapshot shown = shots.take();
    while (shown.moment() != moment) {
      shown = shots.take();
    }
    return shown;
  }

  /** Stops the player's thread. */
  @TearDown
  public void close() {
    player.close();
  }
}
