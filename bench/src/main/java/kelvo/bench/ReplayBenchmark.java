package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFile;
import kelvo.engine.MarketEngine;
import kelvo.engine.Program;
import kelvo.engine.Progress;
import kelvo.engine.SessionRun;
import kelvo.market.Session;
import kelvo.scan.Scan;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * The demo session through the engine with its ten scans, beside a bare pass over the same events.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx3g", "-XX:+UseParallelGC", "-XX:+UseCompactObjectHeaders"})
@Warmup(iterations = 4)
@Measurement(iterations = 7)
public class ReplayBenchmark {
  private Session session;
  private List<Scan> scans;
  private SessionRun run;
  private MarketEngine engine;
  private int seeks;

  /** Writes the demo folder if {@code kelvo.bench.folder} does not hold one, and reads it. */
  @Setup
  public void read() throws IOException {
    String named = System.getProperty("kelvo.bench.folder");
    Path folder = named == null ? Files.createTempDirectory("kelvo-bench") : Path.of(named);
    if (!Files.exists(folder.resolve("securities.csv"))) {
      DemoFolder.write(folder, DemoSize.DEMO, DemoFolder.SEED, Progress.NONE);
    }
    session =
        new DataFolder(folder, new ExchangeCalendar()).session(DemoSize.SESSION, Progress.NONE);
    scans = ScanFile.shipped(Phases.USUAL);
    run = SessionRun.of(session, new Program(scans, List.of()), Progress.NONE);
    engine = run.engine();
  }

  /** 14 fields and nothing else. */
  @Benchmark
  public long bare() {
    return new BarePass(session.securities().size()).run(session);
  }

  /** Every field, edge and trigger of the ten shipped scans, hits with all their fields. */
  @Benchmark
  public int tenScans() {
    int[] hits = {0};
    new MarketEngine(session, new Program(scans, List.of()), hit -> hits[0]++).runTo(DayTime.LAST);
    return hits[0];
  }

  /** One drag of the day rail: back and forth between moments spread over the day. */
  @Benchmark
  public long seek() {
    seeks++;
    run.seek(
        engine, DayTime.FIRST + seeks * 7_919L * DayTime.SECOND % (DayTime.LAST - DayTime.FIRST));
    return engine.clock();
  }
}
