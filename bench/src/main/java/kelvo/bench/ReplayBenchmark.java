package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFile;
import kelvo.engine.MarketEngine;
import kelvo.engine.MarketSnapshot;
import kelvo.engine.Program;
import kelvo.engine.Progress;
import kelvo.engine.SessionPlayer;
import kelvo.engine.SessionRun;
import kelvo.engine.SnapshotRequest;
import kelvo.market.Session;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.sim.PlantedStories;
import kelvo.sim.Story;
import kelvo.time.DayTime;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/**
 * The demo session through the engine with its ten scans, beside a bare pass over the same events.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {
      "-Xmx3g",
      "-XX:+UseParallelGC",
      "-XX:+UseCompactObjectHeaders",
      "-XX:+UseTransparentHugePages"
    })
@Warmup(iterations = 4)
@Measurement(iterations = 9)
public class ReplayBenchmark {
  /** How many securities: the demo's, and as many as the whole market has. */
  @Param({"3000", "11000"})
  public int securities;

  private Session session;
  private List<Scan> scans;
  private SessionRun run;
  private SessionPlayer player;
  private final BlockingQueue<MarketSnapshot> shots = new LinkedBlockingQueue<>();
  private BarePass barePass;
  private MarketEngine replay;
  private int hits;
  private int seeks;

  /** Writes the market under {@code kelvo.bench.folder}, unless it is there, and reads it. */
  @Setup
  public void read() throws IOException {
    String named = System.getProperty("kelvo.bench.folder");
    Path root = named == null ? Files.createTempDirectory("kelvo-bench") : Path.of(named);
    Path folder = root.resolve(Integer.toString(securities));
    if (!Files.exists(folder.resolve("scans"))) {
      DemoSize size =
          new DemoSize(
              securities, 260, securities == 3_000 ? 2_950_000 : 6_000_000, DemoSize.SESSION);
      DemoFolder.write(folder, size, DemoFolder.SEED, Progress.NONE);
    }
    session =
        new DataFolder(folder, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);
    scans = ScanFile.shipped(Vocabulary.USUAL);
    run = SessionRun.of(session, new Program(scans, List.of()), Progress.NONE);
    List<String> followed = PlantedStories.all().stream().map(Story::symbol).limit(10).toList();
    SnapshotRequest request = new SnapshotRequest(scans.getFirst(), "TIDARC", followed);
    player =
        new SessionPlayer(run, DayTime.FIRST, request, shots::add, hit -> {}, System::nanoTime);
  }

  /** Makes what a session needs before its first event; that is not part of the pass. */
  @Setup(Level.Invocation)
  public void prepare() {
    barePass = new BarePass(session.securities().size());
    replay = new MarketEngine(session, new Program(scans, List.of()), hit -> hits++);
  }

  /** 14 fields and nothing else. */
  @Benchmark
  public long bare() {
    return barePass.run(session);
  }

  /** Every field, edge and trigger of the ten shipped scans, hits with all their fields. */
  @Benchmark
  public int tenScans() {
    replay.runTo(DayTime.LAST);
    return hits;
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
