package kelvo.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import kelvo.job.Progress;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;

/**
 * Whole processes as a trader starts them, file cache warm, beside an SQL engine that reads every
 * column of the same tables: rounds of one start each, and the medians of the rounds.
 */
final class WholeProcesses {
  private static final int ROUNDS = 5;
  private static final int MINUTE_SESSIONS = 20;
  private static final double NANOS = 1e9;

  private final Path kelvo;
  private final Path demo;
  private final Path history;

  /**
   * On markets under a folder, which are written unless they are there.
   *
   * @param kelvo the command that starts Kelvo
   */
  WholeProcesses(Path kelvo, Path root) throws IOException, InterruptedException {
    this.kelvo = kelvo;
    demo = root.resolve("demo");
    history = root.resolve("twenty-sessions");
    // Writes the demo where it is not there, and its columns.
    window();
    command("hits", demo);
  }

  /** Starts by the keys of their promises. */
  Map<String, Start> onDemo() {
    Map<String, Start> starts = new LinkedHashMap<>();
    starts.put("window", this::window);
    starts.put("hits", () -> command("hits", demo));
    starts.put("review", () -> command("review", demo));
    return starts;
  }

  /** The SQL engine on the demo's tables. */
  Start sqlOnDemo() {
    return () -> sql(demo);
  }

  private void writeHistory() throws IOException {
    if (!Files.exists(history.resolve("scans"))) {
      DemoFolder.write(
          history,
          DemoSize.DEMO.withHistory(0, MINUTE_SESSIONS).withBars(0),
          DemoFolder.SEED,
          Progress.NONE);
    }
  }

  /** A process from its start to its end. */
  interface Start {
    void run() throws IOException, InterruptedException;
  }

  /** Measures and prints. */
  void print() throws IOException, InterruptedException {
    writeHistory();
    Map<String, Start> first = new LinkedHashMap<>();
    first.put("hits, first reading ever", () -> afterDeleting(demo, () -> command("hits", demo)));
    first.put(
        "hits of twenty sessions, first reading ever",
        () -> afterDeleting(history, () -> command("hits", history)));
    Map<String, Start> later = new LinkedHashMap<>();
    later.put("the SQL engine, every column of the demo", sqlOnDemo());
    later.putAll(onDemo());
    later.put("hits of twenty sessions", () -> command("hits", history));
    print(first, 1);
    print(later, ROUNDS);
    timeline("window", windowOnDemo());
    timeline("hits", commandOn("hits", demo));
    timeline("review", commandOn("review", demo));
  }

  /** Prints how long each part of a command takes, by one more start. */
  private static void timeline(String name, List<String> command)
      throws IOException, InterruptedException {
    ProcessBuilder builder =
        new ProcessBuilder(command).redirectOutput(ProcessBuilder.Redirect.DISCARD);
    builder.environment().put("KELVO_JAVA_OPTIONS", "-Dkelvo.timeline=true");
    Process process = builder.start();
    try (BufferedReader lines = process.errorReader()) {
      lines
          .lines()
          .filter(line -> line.startsWith("timeline: "))
          .forEach(line -> System.out.println("  " + name + ", " + line));
    }
    process.waitFor();
  }

  private static void print(Map<String, Start> starts, int rounds)
      throws IOException, InterruptedException {
    Map<String, List<Double>> seconds = new LinkedHashMap<>();
    for (int round = 0; round < rounds; round++) {
      for (Map.Entry<String, Start> start : starts.entrySet()) {
        long begun = System.nanoTime();
        start.getValue().run();
        seconds
            .computeIfAbsent(start.getKey(), s -> new ArrayList<>())
            .add((System.nanoTime() - begun) / NANOS);
      }
    }
    seconds.forEach(
        (what, all) ->
            System.out.printf(
                Locale.ROOT,
                "  %s: %.1f s (%.1f to %.1f)%n",
                what,
                all.stream().sorted().toList().get(all.size() / 2),
                all.stream().min(Comparator.naturalOrder()).orElseThrow(),
                all.stream().max(Comparator.naturalOrder()).orElseThrow()));
  }

  private void window() throws IOException, InterruptedException {
    run(windowOnDemo());
  }

  private List<String> windowOnDemo() {
    return List.of(
        kelvo.toString(), "demo", "--smoke", "--at", "08:58", "--folder", demo.toString());
  }

  private void command(String name, Path folder) throws IOException, InterruptedException {
    run(commandOn(name, folder));
  }

  private List<String> commandOn(String name, Path folder) {
    return List.of(kelvo.toString(), name, folder.toString());
  }

  private static void sql(Path folder) throws IOException, InterruptedException {
    run(
        List.of(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-cp",
            System.getProperty("java.class.path"),
            SqlEngine.class.getName(),
            folder.toString()));
  }

  private static void run(List<String> command) throws IOException, InterruptedException {
    Process process =
        new ProcessBuilder(command)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    if (process.waitFor() != 0) {
      throw new IllegalStateException(command + " ended with " + process.exitValue());
    }
  }

  private static void afterDeleting(Path folder, Start start)
      throws IOException, InterruptedException {
    Path columns = folder.resolve(".kelvo/columns");
    if (Files.exists(columns)) {
      try (Stream<Path> files = Files.walk(columns)) {
        for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
          Files.delete(file);
        }
      }
    }
    start.run();
  }
}
