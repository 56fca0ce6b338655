package kelvo.bench;

import java.io.IOException;
import java.util.concurrent.TimeUnit;
import kelvo.session.Session;
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
 * The demo session through the engine with a set of scans, between two bare passes over the same
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

  /** Which scans, and none at all. */
  @Param public ScanSet scans;

  private Session session;
  private EngineRound next;

  /** What one round took. */
  @State(Scope.Thread)
  @AuxCounters(AuxCounters.Type.EVENTS)
  public static class Round {
    /** The mean of the two bare passes, 14 fields and nothing else, ms. */
    public double bareMs;

    /** Every field, edge and trigger of the scans, hits with all their fields, ms. */
    public double engineMs;

    /** The rate with the scans over that of the bare passes around it. */
    public double rate;

    /** How many hits there were. */
    public double hits;
  }

  /** Reads the market. */
  @Setup
  public void read() throws IOException {
    session = DemoSession.of(securities);
  }

  /** Makes what a session needs before its first event; that is not part of a pass. */
  @Setup(Level.Invocation)
  public void prepare() {
    next = new EngineRound(session, scans);
  }

  /** Bare, scans, bare. */
  @Benchmark
  public long round(Round round) {
    EngineRound.Times times = next.play();
    round.bareMs = times.bareMs();
    round.engineMs = times.engineMs();
    round.rate = times.rate();
    round.hits = times.hits();
    return times.check() + times.hits();
  }
}
