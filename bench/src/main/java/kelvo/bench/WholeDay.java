package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.scanfile.ScanFile;
import kelvo.explain.ScanPairs;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.job.Progress;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;

/**
 * A whole process: starts, reads a session of 8,000 securities and 20 million prints, and plays it
 * through thirty scans once, nothing warmed up. The first time it reads compressed tables, then
 * columns.
 */
final class WholeDay {
  private static final int SECURITIES = 8_000;
  private static final int DAYS = 60;
  private static final int PRINTS = 20_000_000;
  private static final double SPLIT = 10;
  private static final int TIMES = 3;
  private static final double NANOS = 1e9;

  private WholeDay() {}

  /** Writes the market under a folder unless it is there, and measures a process on it. */
  static void print(Path root) throws IOException, InterruptedException {
    Path folder = root.resolve("whole-day");
    if (!Files.exists(folder.resolve("scans"))) {
      DemoFolder.write(
          folder,
          new DemoSize(SECURITIES, DAYS, PRINTS, DemoSize.SESSION),
          DemoFolder.SEED,
          Progress.NONE);
    }
    for (int time = 0; time < TIMES; time++) {
      start(folder);
    }
  }

  private static void start(Path folder) throws IOException, InterruptedException {
    long start = System.nanoTime();
    new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-Xmx3g",
            "-Xms1500m",
            "-Xmn900m",
            "-XX:+UseParallelGC",
            "-XX:+UseCompactObjectHeaders",
            "-cp",
            System.getProperty("java.class.path"),
            WholeDay.class.getName(),
            folder.toString())
        .inheritIO()
        .start()
        .waitFor();
    System.out.printf(
        Locale.ROOT, "  the whole process %.1f s%n", (System.nanoTime() - start) / NANOS);
  }

  /** The process that is measured; its argument is the market's folder. */
  public static void main(String[] args) {
    DataFolder data = new DataFolder(Path.of(args[0]), new ExchangeCalendar());
    long start = System.nanoTime();
    Session session = data.session(DemoSize.SESSION, Progress.NONE);
    long read = System.nanoTime();
    int[] hits = new int[1];
    ScanEngine.replay(session, new Program(thirty(), List.of()), hit -> hits[0]++)
        .runTo(DayTime.LAST);
    long played = System.nanoTime();
    System.out.printf(
        Locale.ROOT,
        "  %,d events read in %.1f s, through thirty scans in %.1f s, %,d hits%n",
        session.tape().size(),
        (read - start) / NANOS,
        (played - read) / NANOS,
        hits[0]);
  }

  /** The first ten of the shipped scans, and each in two halves by price. */
  private static List<Scan> thirty() {
    List<Scan> scans = new ArrayList<>();
    for (Scan scan : ScanFile.shipped(Vocabulary.DEFAULT).subList(0, 10)) {
      scans.add(scan);
      scans.addAll(ScanPairs.byPrice(scan, SPLIT));
    }
    return scans;
  }
}
