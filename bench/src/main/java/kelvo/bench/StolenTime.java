package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * How much of this machine's processors its host gave to others, from Linux's own count: what a
 * measurement on a virtual machine must be read with.
 */
final class StolenTime {
  private static final Path COUNTS = Path.of("/proc/stat");

  /** Place among the counts of the first line, from the manual page proc_stat(5). */
  private static final int STOLEN = 8;

  private static final double TICKS_IN_SECOND = 100;

  private final double before;
  private final long since;

  private StolenTime(double before, long since) {
    this.before = before;
    this.since = since;
  }

  /** Counts from now on. */
  static StolenTime fromNow() throws IOException {
    return new StolenTime(seconds(), System.nanoTime());
  }

  /** The part of the processors that was taken away since, per cent; 0 where nothing counts it. */
  double percent() throws IOException {
    double passed = (System.nanoTime() - since) / 1e9 * Runtime.getRuntime().availableProcessors();
    return 100 * (seconds() - before) / passed;
  }

  private static double seconds() throws IOException {
    if (!Files.exists(COUNTS)) {
      return 0;
    }
    List<String> counts = List.of(Files.readAllLines(COUNTS).getFirst().split(" +"));
    return Long.parseLong(counts.get(STOLEN)) / TICKS_IN_SECOND;
  }
}
