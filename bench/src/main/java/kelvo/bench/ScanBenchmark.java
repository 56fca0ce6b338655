package kelvo.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.replay.TapeReplay;
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

/** 300 rules in 50 scans over a market of 11,000, beside a bare pass and a naive loop. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx3g", "-XX:+UseParallelGC", "-XX:+UseCompactObjectHeaders"})
@Warmup(iterations = 3)
@Measurement(iterations = 5)
public class ScanBenchmark {
  static final int SECURITIES = 11_000;
  static final int PRINTS = 1_000_000;
  static final int SCANS = 50;
  static final int RULES = 6;

  /** Where the scans' bounds lie. */
  @Param({"DENSE", "TAILS"})
  public String bounds;

  private Session session;
  private List<Scan> scans;
  private BarePass bare;
  private TapeReplay fifty;
  private TapeReplay without;
  private NaiveLoop naive;
  private long sum;
  private int hits;

  /** What one round took, and what that makes of it. */
  @State(Scope.Thread)
  @AuxCounters(AuxCounters.Type.EVENTS)
  public static class Round {
    /** 14 fields and nothing else, ms. */
    public double bareMs;

    /** The whole state and the clock, no scan, ms. */
    public double noScansMs;

    /** All scans with their edges; each hit keeps every field, ms. */
    public double fiftyMs;

    /** The same rules asked in the plainest way; entries are counted, nothing is kept, ms. */
    public double naiveMs;

    /** The rate without scans over that of the bare pass. */
    public double noScansOverBare;

    /** The rate with fifty scans over that of the bare pass. */
    public double fiftyOverBare;

    /** The rate with fifty scans over that of the naive loop. */
    public double fiftyOverNaive;
  }

  /** Makes the market and its scans. */
  @Setup
  public void make() {
    session = BenchMarket.ofRegularHours(SECURITIES, PRINTS);
    scans = BenchScans.of(session, BenchScans.Bounds.valueOf(bounds), SCANS, RULES);
  }

  /** Makes what a session needs before its first event. */
  @Setup(Level.Invocation)
  public void prepare() {
    bare = new BarePass(SECURITIES);
    fifty = ScanEngine.replay(session, new Program(scans, List.of()), hit -> hits++);
    without = ScanEngine.replay(session, new Program(List.of(), List.of()), hit -> hits++);
    naive = new NaiveLoop(session, scans);
  }

  /** One of each, so that all run under the same conditions. */
  @Benchmark
  public long round(Round round) {
    round.bareMs = Timed.ms(() -> sum += bare.run(session));
    round.noScansMs = Timed.ms(() -> without.runTo(DayTime.LAST));
    round.fiftyMs = Timed.ms(() -> fifty.runTo(DayTime.LAST));
    round.naiveMs = Timed.ms(() -> sum += naive.run());
    round.noScansOverBare = round.bareMs / round.noScansMs;
    round.fiftyOverBare = round.bareMs / round.fiftyMs;
    round.fiftyOverNaive = round.naiveMs / round.fiftyMs;
    return sum + hits;
  }

  /** For the allocation profiler: no scan. */
  @Benchmark
  public int noScans() {
    without.runTo(DayTime.LAST);
    return hits;
  }

  /** For the allocation profiler: all scans. */
  @Benchmark
  public int fiftyScans() {
    fifty.runTo(DayTime.LAST);
    return hits;
  }
}
