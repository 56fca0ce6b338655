package kelvo.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;

/** How the cost of a print grows with securities, scans and rules, beside a bare pass each. */
final class Growth {
  private static final int PRINTS = 1_000_000;
  private static final int PASSES = 7;

  private Growth() {}

  static void print() {
    System.out.println("growth, 1 M prints, bounds in the tails: ns a print, and against bare");
    for (int securities : new int[] {2_750, 5_500, 11_000}) {
      row(securities, 50, 6);
    }
    for (int scans : new int[] {10, 25}) {
      row(11_000, scans, 6);
    }
    for (int rules : new int[] {3, 12}) {
      row(11_000, 50, rules);
    }
  }

  private static void row(int securities, int scanCount, int rules) {
    Session session = BenchMarket.ofRegularHours(securities, PRINTS);
    List<Scan> scans = BenchScans.of(session, BenchScans.Bounds.TAILS, scanCount, rules);
    double bare = median(() -> new BarePass(securities)::run, session);
    double engine =
        median(
            () -> {
              TapeReplay made =
                  ScanEngine.replay(session, new Program(scans, List.of()), hit -> {});
              return s -> made.runTo(DayTime.LAST);
            },
            session);
    System.out.printf(
        Locale.ROOT,
        "  %,6d securities, %2d scans of %2d rules: %.0f ns, %.2f%n",
        securities,
        scanCount,
        rules,
        engine / PRINTS,
        bare / engine);
  }

  /** Prepares a pass, which is not measured, and gives it. */
  private interface Pass {
    java.util.function.Consumer<Session> prepare();
  }

  private static double median(Pass pass, Session session) {
    long[] nanos = new long[PASSES];
    for (int i = 0; i < PASSES; i++) {
      var prepared = pass.prepare();
      long began = System.nanoTime();
      prepared.accept(session);
      nanos[i] = System.nanoTime() - began;
    }
    Arrays.sort(nanos);
    return nanos[PASSES / 2];
  }
}
