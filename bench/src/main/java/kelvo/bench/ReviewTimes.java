package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import kelvo.alert.AlertBook;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.ledger.Ledger;
import kelvo.data.past.PastSessions;
import kelvo.data.past.WantedHits;
import kelvo.data.scanfile.ScanFile;
import kelvo.job.Progress;
import kelvo.review.ReviewSettings;
import kelvo.review.WhatIf;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoSize;
import kelvo.trackrecord.TrackRecord;

/**
 * The demo's twenty sessions before its own, 3,000 securities each with every print: reviewed
 * together, and a what-if over them, the first time and again with another change. Each time beside
 * one session of them alone.
 */
final class ReviewTimes {
  private static final int TIMES = 5;
  private static final double NANOS = 1e9;

  private ReviewTimes() {}

  /** Writes the market under a folder unless it is there, and measures in this process. */
  static void print(Path root) throws IOException {
    Path folder = root.resolve("record");
    if (!Files.exists(folder.resolve("scans"))) {
      DemoFolder.write(folder, DemoSize.DEMO.withBars(0), DemoFolder.SEED, Progress.NONE);
    }
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    List<LocalDate> dates =
        data.sessionDates().stream().filter(date -> date.isBefore(DemoSize.SESSION)).toList();
    Ledger none = Ledger.readOnly(folder.resolve("no ledger"));
    List<Scan> scans = ScanFile.shipped(Vocabulary.DEFAULT);
    Scan stairs =
        scans.stream().filter(scan -> scan.name().equals("Thin stairs")).findFirst().orElseThrow();
    double one =
        timed(
            "one session, what if",
            () ->
                whatIf(
                    new PastSessions(folder, none, Vocabulary.DEFAULT),
                    dates.subList(0, 1),
                    stairs,
                    0));
    for (int time = 0; time < TIMES; time++) {
      PastSessions past = new PastSessions(folder, none, Vocabulary.DEFAULT);
      double first =
          timed(dates.size() + " sessions, what if", () -> whatIf(past, dates, stairs, 0));
      double again = timed("the same, another change", () -> whatIf(past, dates, stairs, 1));
      System.out.printf(
          Locale.ROOT, "  %.1f and %.1f times one session alone%n", first / one, again / one);
    }
    PastSessions past = new PastSessions(folder, none, Vocabulary.DEFAULT);
    WantedHits wanted = new WantedHits(scans, List.of(), AlertBook.EMPTY);
    timed("reviewed together", () -> review(past, dates, wanted));
    timed("again, with other bounds", () -> review(past, dates, wanted));
  }

  private static void whatIf(PastSessions past, List<LocalDate> dates, Scan scan, int without) {
    Scan changed =
        scan.withRules(
            scan.rules().stream()
                .filter(rule -> !rule.equals(scan.rules().get(2 + without)))
                .toList());
    WhatIf.together(past.whatIfs(dates, scan, changed, ReviewSettings.DEFAULT, Progress.NONE));
  }

  private static void review(PastSessions past, List<LocalDate> dates, WantedHits wanted) {
    TrackRecord.of(past.reviews(dates, wanted, ReviewSettings.DEFAULT, one -> {}, Progress.NONE));
  }

  private static double timed(String what, Runnable work) {
    long start = System.nanoTime();
    work.run();
    double seconds = (System.nanoTime() - start) / NANOS;
    System.out.printf(Locale.ROOT, "  %s: %.1f s%n", what, seconds);
    return seconds;
  }
}
