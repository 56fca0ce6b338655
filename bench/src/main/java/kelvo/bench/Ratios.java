package kelvo.bench;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.util.Statistics;

/**
 * Runs the benchmarks in one go and prints them as ratios, since only ratios of one run mean
 * anything.
 */
public final class Ratios {
  private Ratios() {}

  /** Takes a folder for the invented markets as an optional argument; they are written once. */
  public static void main(String[] args) throws RunnerException {
    OptionsBuilder options = new OptionsBuilder();
    options.include(ReplayBenchmark.class.getSimpleName());
    if (args.length > 0) {
      options.jvmArgsAppend("-Dkelvo.bench.folder=" + args[0]);
    }
    Collection<RunResult> results = new Runner(options.build()).run();
    for (String securities : List.of("3000", "11000")) {
      print(securities, results);
    }
  }

  private static void print(String securities, Collection<RunResult> all) {
    List<RunResult> results =
        all.stream().filter(r -> r.getParams().getParam("securities").equals(securities)).toList();
    Statistics bare = statistics(results, "bare");
    Statistics scans = statistics(results, "tenScans");
    Statistics seek = statistics(results, "seek");
    System.out.printf(Locale.ROOT, "%s securities%n", securities);
    System.out.printf(
        Locale.ROOT,
        "  bare pass: median %.0f ms (%.0f to %.0f)%n",
        median(bare),
        bare.getMin(),
        bare.getMax());
    System.out.printf(
        Locale.ROOT,
        "  ten scans: median %.0f ms (%.0f to %.0f), %.2f of the bare pass's rate (wanted: 0.30)%n",
        median(scans),
        scans.getMin(),
        scans.getMax(),
        median(bare) / median(scans));
    System.out.printf(
        Locale.ROOT,
        "  seek: median %.0f ms, slowest %.0f ms (wanted: at most 300)%n",
        median(seek),
        seek.getMax());
  }

  private static Statistics statistics(List<RunResult> results, String name) {
    return results.stream()
        .filter(r -> r.getPrimaryResult().getLabel().equals(name))
        .findFirst()
        .orElseThrow()
        .getPrimaryResult()
        .getStatistics();
  }

  private static double median(Statistics statistics) {
    return statistics.getPercentile(50);
  }
}
