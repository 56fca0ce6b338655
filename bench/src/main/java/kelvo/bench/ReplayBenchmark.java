package kelvo.bench;

import java.io.IOException;
import java.util.List;
import java.util.concurrent.TimeUnit;
import kelvo.data.scanfile.ScanFile;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.replay.TapeReplay;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.openjdk.jmh.annotations.AuxCounters;
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
import org.openjdk.jmh.annotations.Warmup;

/**
 * The demo session through the engine with its ten scans, between two bare passes over the same
 * events, so that all three run under the same conditions.
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
@Warmup(iterations = 8)
@Measurement(iterations = 21)
public class ReplayBenchmark {
  /** How many securities: the demo's, and as many as the whole market has. */
  @Param({"3000", "11000"})
  public int securities;

  private Session session;
  private List<Scan> scans;
  private BarePass before;
  private BarePass after;
  private TapeReplay replay;
  private int hits;
  private long sum;

  /** What one round took. */
  @State(Scope.Thread)
  @AuxCounters(AuxCounters.Type.EVENTS)
  public static class Round {
    /** The mean of the two bare passes, 14 fields and nothing else, ms. */
    public double bareMs;

    /** Every field, edge and trigger of the ten shipped scans, hits with all their fields, ms. */
    public double tenScansMs;

    /** The rate with ten scans over that of the bare passes around it. */
    public double rate;
  }

  /** Reads the market. */
  @Setup
  public void read() throws IOException {
    session = DemoSession.of(securities);
    scans = ScanFile.shipped(Vocabulary.DEFAULT);
  }

  /** Makes what a session needs before its first event; that is not part of a pass. */
  @Setup(Level.Invocation)
  public void prepare() {
    before = new BarePass(session.securities().size());
    after = new BarePass(session.securities().size());
    replay = ScanEngine.replay(session, new Program(scans, List.of()), hit -> hits++);
  }

  /** Bare, ten scans, bare. */
  @Benchmark
  public long round(Round round) {
    double bareBefore = Timed.ms(() -> sum += before.run(session));
    round.tenScansMs = Timed.ms(() -> replay.runTo(DayTime.LAST));
    double bareAfter = Timed.ms(() -> sum += after.run(session));
    round.bareMs = (bareBefore + bareAfter) / 2;
    round.rate = round.bareMs / round.tenScansMs;
    return sum + hits;
  }
}
