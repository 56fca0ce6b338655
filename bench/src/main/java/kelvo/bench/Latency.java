package kelvo.bench;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.Function;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.SessionHours;
import org.HdrHistogram.Histogram;

/**
 * How long after a print was due its hit is there, at a steady rate from another process, while a
 * thread makes 300 MB of garbage a second.
 */
final class Latency {
  private static final int SECONDS = 8;
  private static final int WARM_SECONDS = 3;
  private static final long LONGEST = 10_000_000_000L;
  private static final long PAUSE = 10_000;

  /** The outside world does not wait for this machine's processors, if the machine lets it. */
  private static final String PACER_FIRST = "-10";

  private static final int GARBAGE_BYTES = 300_000;

  private final int rate;
  private final long apart;
  private final int prints;
  private final Session session;
  private final List<Scan> scans;

  private Latency(int rate, int scanCount) {
    this.rate = rate;
    apart = 1_000_000_000L / rate;
    prints = rate * (WARM_SECONDS + SECONDS);
    session = BenchMarket.of(ScanBenchmark.SECURITIES, prints, SessionHours.OPEN, apart);
    scans =
        new ArrayList<>(
            BenchScans.of(session, BenchScans.Bounds.TAILS, scanCount - 1, ScanBenchmark.RULES));
    scans.add(BenchScans.ofHighs());
  }

  /**
   * Measures in this process; start it with the collector that a window uses. Arguments: prints a
   * second, scans.
   */
  public static void main(String[] args) throws IOException, InterruptedException {
    new Latency(Integer.parseInt(args[0]), Integer.parseInt(args[1])).measure();
  }

  private void measure() throws IOException, InterruptedException {
    played(hit -> {}).runTo(SessionHours.OPEN + prints * apart);
    line("pacer and waking up alone, to the print seen", paced(this::seeing));
    line("event to hit", paced(this::playing));
  }

  private TapeReplay played(Consumer<Hit> hits) {
    return ScanEngine.replay(session, new Program(scans, List.of()), hits);
  }

  /** What is done with prints that have come. */
  private interface Work {
    /**
     * Prints have come.
     *
     * @param count how many in all
     * @param began when the first was due, {@link System#nanoTime}
     */
    void upTo(long count, long began);
  }

  /** What is measured while a pacer lets the session's prints go. */
  private Histogram paced(Function<Histogram, Work> made) throws IOException, InterruptedException {
    Path file = Files.createTempFile("kelvo-pacer", ".page");
    ByteBuffer page = Pacer.page(file);
    Process pacer =
        new ProcessBuilder(
                "nice",
                "-n",
                PACER_FIRST,
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-cp",
                System.getProperty("java.class.path"),
                Pacer.class.getName(),
                file.toString(),
                Integer.toString(prints),
                Integer.toString(rate))
            .inheritIO()
            .start();
    Thread garbage = Thread.ofPlatform().daemon().start(Latency::makeGarbage);
    Histogram times = new Histogram(LONGEST, 3);
    follow(page, made.apply(times));
    garbage.interrupt();
    pacer.waitFor();
    Files.delete(file);
    return times;
  }

  private void follow(ByteBuffer page, Work work) {
    TimerSlack.least();
    long released = 0;
    while (released < prints) {
      long now = (long) Pacer.CELL.getAcquire(page, Pacer.RELEASED);
      if (now == released) {
        LockSupport.parkNanos(PAUSE);
        continue;
      }
      work.upTo(now, (long) Pacer.CELL.getAcquire(page, Pacer.BEGAN));
      released = now;
    }
  }

  /** Only notes when each print was seen. */
  private Work seeing(Histogram times) {
    long[] next = {0};
    return (upTo, began) -> {
      while (next[0] < upTo) {
        record(times, next[0]++, began);
      }
    };
  }

  /** Plays the prints through the scans and notes when each hit was there. */
  private Work playing(Histogram times) {
    long[] start = {0};
    TapeReplay replay = new TapeReplay(session);
    ScanEngine engine =
        new ScanEngine(
            replay,
            new Program(scans, List.of()),
            hit -> record(times, (hit.at() - SessionHours.OPEN) / apart, start[0]));
    engine.keepUp();
    replay.listen(engine);
    return (upTo, began) -> {
      start[0] = began;
      replay.runTo(SessionHours.OPEN + (upTo - 1) * apart);
    };
  }

  private void record(Histogram times, long print, long began) {
    if (print > (long) WARM_SECONDS * rate) {
      times.recordValue(Math.clamp(System.nanoTime() - began - print * apart, 0, LONGEST));
    }
  }

  private static void line(String what, Histogram histogram) {
    System.out.printf(
        Locale.ROOT,
        "  %s: p50 %.0f us, p99 %.0f us, p99.9 %.0f us, max %.1f ms (%,d)%n",
        what,
        histogram.getValueAtPercentile(50) / 1e3,
        histogram.getValueAtPercentile(99) / 1e3,
        histogram.getValueAtPercentile(99.9) / 1e3,
        histogram.getMaxValue() / 1e6,
        histogram.getTotalCount());
  }

  private static void makeGarbage() {
    byte[][] kept = new byte[64][];
    for (int i = 0; !Thread.currentThread().isInterrupted(); i++) {
      kept[i % kept.length] = new byte[GARBAGE_BYTES];
      LockSupport.parkNanos(1_000_000);
    }
  }
}
