package kelvo.bench;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.locks.LockSupport;
import kelvo.engine.MarketEngine;
import kelvo.engine.Program;
import kelvo.market.Session;
import kelvo.scan.Hit;
import kelvo.scan.Scan;
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
  private static final long PAUSE = 20_000;
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
    new MarketEngine(session, new Program(scans, List.of()), hit -> {})
        .runTo(SessionHours.OPEN + prints * apart);
    Path file = Files.createTempFile("kelvo-pacer", ".page");
    ByteBuffer page = Pacer.page(file);
    Process pacer =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Pacer.class.getName(),
                file.toString(),
                Integer.toString(prints),
                Integer.toString(rate))
            .inheritIO()
            .start();
    Thread garbage = Thread.ofPlatform().daemon().start(Latency::makeGarbage);
    play(page);
    garbage.interrupt();
    pacer.waitFor();
    Files.delete(file);
  }

  private void play(ByteBuffer page) {
    Histogram hits = new Histogram(LONGEST, 3);
    Histogram floor = new Histogram(LONGEST, 3);
    long[] began = new long[1];
    MarketEngine engine =
        new MarketEngine(
            session, new Program(scans, List.of()), hit -> record(hits, hit, began[0]));
    long released = 0;
    while (released < prints) {
      long now = (long) Pacer.CELL.getAcquire(page, Pacer.RELEASED);
      if (now == released) {
        LockSupport.parkNanos(PAUSE);
        continue;
      }
      began[0] = (long) Pacer.CELL.getAcquire(page, Pacer.BEGAN);
      if (now > (long) WARM_SECONDS * rate) {
        floor.recordValue(Math.clamp(System.nanoTime() - began[0] - (now - 1) * apart, 0, LONGEST));
      }
      engine.runTo(SessionHours.OPEN + (now - 1) * apart);
      released = now;
    }
    line("pacer and wake-up alone, newest print seen", floor);
    line("event to hit", hits);
  }

  private void record(Histogram hits, Hit hit, long began) {
    long print = (hit.at() - SessionHours.OPEN) / apart;
    if (print > (long) WARM_SECONDS * rate) {
      hits.recordValue(Math.clamp(System.nanoTime() - began - print * apart, 0, LONGEST));
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
