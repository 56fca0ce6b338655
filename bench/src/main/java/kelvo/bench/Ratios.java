package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import org.openjdk.jmh.profile.GCProfiler;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.util.Statistics;

/**
 * Runs the measurements in one go and prints them as ratios, since only ratios of one run mean
 * anything.
 */
public final class Ratios {
  private static final List<String> SUBJECTS =
      List.of(
          "replay",
          "seek",
          "scans",
          "peers",
          "growth",
          "latency",
          "paint",
          "live",
          "review",
          "corrections",
          "research",
          "whole");

  /** Takes half an hour, so that it runs only when it is named. */
  private static final String SOAK = "soak";

  /** A check with an answer instead of a measurement, of three minutes. */
  private static final String FLOORS = "floors";

  private static final List<String> BOUNDS = List.of("DENSE", "TAILS");
  private static final List<String> SIZES = List.of("3000", "11000");

  private Ratios() {}

  /**
   * Takes a folder for the invented markets, which are written once, and the subjects to measure:
   * all of {@link #SUBJECTS} when none is named; or "soak" alone; or "floors" and a folder.
   */
  public static void main(String[] args)
      throws RunnerException, IOException, InterruptedException, SQLException {
    if (args.length > 0 && args[0].equals(SOAK)) {
      LiveTimes.start(LiveTimes.Part.SOAK);
      return;
    }
    if (args.length > 0 && args[0].equals(FLOORS)) {
      floors(args.length > 1 ? args[1] : "");
      return;
    }
    List<String> named = List.of(args).stream().filter(SUBJECTS::contains).toList();
    List<String> subjects = named.isEmpty() ? SUBJECTS : named;
    String folder = args.length > 0 && !SUBJECTS.contains(args[0]) ? args[0] : "";
    if (!folder.isEmpty()) {
      System.setProperty("kelvo.bench.folder", folder);
    }
    for (String subject : subjects) {
      StolenTime stolen = StolenTime.fromNow();
      measure(subject, folder);
      say("  the host took %.1f%% of the processors away meanwhile", stolen.percent());
    }
  }

  /** In processes of their own: JavaFX starts once in a process. */
  private static void live() throws IOException, InterruptedException {
    for (LiveTimes.Part part : EnumSet.complementOf(EnumSet.of(LiveTimes.Part.SOAK))) {
      LiveTimes.start(part);
    }
  }

  private static void floors(String folder) throws IOException, InterruptedException {
    Path root = folder.isEmpty() ? Files.createTempDirectory("kelvo-bench") : Path.of(folder);
    StolenTime stolen = StolenTime.fromNow();
    boolean all = Floors.hold(project(), root);
    say("  the host took %.1f%% of the processors away meanwhile", stolen.percent());
    if (!all) {
      System.err.println("Kelvo is slower than two thirds of what docs/promises.csv promises.");
      System.exit(1);
    }
  }

  private static Path project() {
    return Path.of(System.getProperty("kelvo.project"));
  }

  private static void measure(String subject, String folder)
      throws RunnerException, IOException, InterruptedException, SQLException {
    switch (subject) {
      case "replay" -> replay(folder);
      case "seek" -> seek(folder);
      case "scans" -> scans();
      case "peers" -> peers();
      case "growth" -> Growth.print();
      case "latency" -> latency();
      case "whole" -> whole(folder);
      case "paint" -> PaintTimes.print();
      case "live" -> live();
      case "review" -> review(folder);
      case "corrections" -> CorrectionTimes.print();
      case "research" -> research(folder);
      default -> throw new IllegalArgumentException("no such subject: " + subject);
    }
  }

  private static void review(String folder) throws IOException {
    say("twenty sessions of 3,000 securities, every print");
    ReviewTimes.print(
        folder.isEmpty() ? Files.createTempDirectory("kelvo-bench") : Path.of(folder));
  }

  private static void research(String folder) throws IOException, SQLException {
    say("a question to 250 sessions of minute bars of 8,000 securities");
    ResearchTimes.print(
        folder.isEmpty() ? Files.createTempDirectory("kelvo-bench") : Path.of(folder));
  }

  private static void whole(String folder) throws IOException, InterruptedException {
    Path root = folder.isEmpty() ? Files.createTempDirectory("kelvo-bench") : Path.of(folder);
    say("whole processes, medians");
    new WholeProcesses(project().resolve("kelvo"), root).print();
    say("a whole process: 8,000 securities, 20 million prints, thirty scans");
    WholeDay.print(root);
  }

  private static void replay(String folder) throws RunnerException {
    Collection<RunResult> all = onDemo(ReplayBenchmark.class, folder);
    for (String securities : SIZES) {
      List<RunResult> ofSize = with(all, "securities", securities);
      say("the demo session, %s securities", securities);
      for (ScanSet set : ScanSet.values()) {
        List<RunResult> results = with(ofSize, "scans", set.name());
        say(" %s (%d)", set.words(), set.scans().size());
        middle("bare pass, ms", results, "bareMs");
        middle("through the scans, ms", results, "engineMs");
        middle("rate over bare", results, "rate");
        middle("hits", results, "hits");
      }
    }
  }

  private static void seek(String folder) throws RunnerException {
    Collection<RunResult> all = onDemo(SeekBenchmark.class, folder);
    for (String securities : SIZES) {
      say("drags, %s securities", securities);
      line("seek", with(all, "securities", securities), "seek");
    }
  }

  private static Collection<RunResult> onDemo(Class<?> benchmark, String folder)
      throws RunnerException {
    OptionsBuilder options = of(benchmark);
    if (!folder.isEmpty()) {
      options.jvmArgsAppend("-Dkelvo.bench.folder=" + folder);
    }
    return new Runner(options.build()).run();
  }

  private static void scans() throws RunnerException {
    OptionsBuilder options = of(ScanBenchmark.class);
    options.addProfiler(GCProfiler.class);
    Collection<RunResult> all = new Runner(options.build()).run();
    for (String bounds : BOUNDS) {
      List<RunResult> results = with(all, "bounds", bounds);
      say("50 scans, 300 rules, 11,000 securities, bounds %s", bounds);
      middle("bare pass, ms", results, "bareMs");
      middle("no scans, ms", results, "noScansMs");
      middle("fifty scans, ms", results, "fiftyMs");
      middle("naive loop, ms", results, "naiveMs");
      middle("rate without scans over bare", results, "noScansOverBare");
      middle("rate with fifty over bare", results, "fiftyOverBare");
      middle("rate with fifty over the naive loop", results, "fiftyOverNaive");
      for (String pass : List.of("noScans", "fiftyScans")) {
        say("  bytes a print, %s: %.2f", pass, bytes(results, pass) / ScanBenchmark.PRINTS);
      }
    }
  }

  private static void peers() throws RunnerException {
    Collection<RunResult> all = new Runner(of(PeerBenchmark.class).build()).run();
    for (String bounds : BOUNDS) {
      List<RunResult> results = with(all, "bounds", bounds);
      say("the same 50 scans by other engines, bounds %s", bounds);
      middle("fifty scans, us a print", results, "fiftyUs");
      middle("event engine, one set of sums, 50 filters, us a print", results, "filtersUs");
      middle("event engine, 50 sets of sums by symbol, us a print", results, "contextsUs");
      middle("rate over one set of sums", results, "overFilters");
      middle("rate over 50 sets of sums", results, "overContexts");
      middle("sweep of all scans, ms", results, "sweepMs");
      middle("database, fill and 50 queries, ms", results, "duckMs");
      middle("sweep over the database", results, "overDuck");
    }
  }

  /** In a process of its own, with the collector that a window uses. */
  private static void latency() throws IOException, InterruptedException {
    latency(500_000, 10);
    latency(100_000, ScanBenchmark.SCANS);
  }

  private static void latency(int rate, int scans) throws IOException, InterruptedException {
    say("latency at %,d prints a second with 300 MB/s of garbage, %d scans", rate, scans);
    new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-Xmx3g",
            "-XX:+UseZGC",
            "-XX:+UseCompactObjectHeaders",
            "--enable-native-access=ALL-UNNAMED",
            "-cp",
            System.getProperty("java.class.path"),
            Latency.class.getName(),
            Integer.toString(rate),
            Integer.toString(scans))
        .inheritIO()
        .start()
        .waitFor();
  }

  private static OptionsBuilder of(Class<?> benchmark) {
    OptionsBuilder options = new OptionsBuilder();
    options.include(benchmark.getSimpleName());
    return options;
  }

  private static List<RunResult> with(Collection<RunResult> all, String parameter, String value) {
    return all.stream().filter(r -> r.getParams().getParam(parameter).equals(value)).toList();
  }

  /** Prints a benchmark's times and returns their median, ms. */
  private static double line(String what, List<RunResult> results, String benchmark) {
    Statistics times = result(results, benchmark).getPrimaryResult().getStatistics();
    double median = times.getPercentile(50);
    say("  %s: median %.1f ms (%.1f to %.1f)", what, median, times.getMin(), times.getMax());
    return median;
  }

  /** Prints the middle, the least and the greatest of what each round counted. */
  private static void middle(String what, List<RunResult> results, String counter) {
    double[] rounds =
        results.stream()
            .flatMap(run -> run.getBenchmarkResults().stream())
            .flatMap(fork -> fork.getIterationResults().stream())
            .filter(round -> round.getSecondaryResults().containsKey(counter))
            .mapToDouble(round -> round.getSecondaryResults().get(counter).getScore())
            .sorted()
            .toArray();
    say(
        "  %s: median %.2f (%.2f to %.2f) of %d rounds",
        what, rounds[rounds.length / 2], rounds[0], rounds[rounds.length - 1], rounds.length);
  }

  private static double bytes(List<RunResult> results, String benchmark) {
    return result(results, benchmark).getSecondaryResults().get("gc.alloc.rate.norm").getScore();
  }

  private static RunResult result(List<RunResult> results, String benchmark) {
    return results.stream()
        .filter(r -> r.getPrimaryResult().getLabel().equals(benchmark))
        .findFirst()
        .orElseThrow();
  }

  private static void say(String format, Object... values) {
    System.out.printf(Locale.ROOT, format + "%n", values);
  }
}
