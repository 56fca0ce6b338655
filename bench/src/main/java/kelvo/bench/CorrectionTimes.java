package kelvo.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.trigger.Trigger;
import kelvo.universe.Universe;

/**
 * What a burst of corrections costs: a hundred prints of one security of 100,000 prints, watched by
 * fifteen triggers, are cancelled or corrected within the last minutes, new ones and any of the
 * day; beside the same session without them.
 */
final class CorrectionTimes {
  private static final int PRINTS = 100_000;
  private static final int CORRECTIONS = 100;

  /** Most corrections are of prints of the last minutes. */
  private static final int RECENT = 3_000;

  private static final int ROUNDS = 5;
  private static final List<String> TRIGGERS =
      List.of(
          "new high of day",
          "new low of day",
          "new high of 20d",
          "new high of session",
          "rises through vwap",
          "falls through vwap",
          "rises through previous close",
          "rises through opening range high 5m",
          "rises through opening range high 15m",
          "stair step 1",
          "base break",
          "up 3% in 5m",
          "down 3% in 5m",
          "first dip 2% after gap 5% regaining 50%",
          "volume past avg volume 20d");

  private CorrectionTimes() {}

  /** Measures both sessions in turn and prints the medians. */
  static void print() {
    Program program = new Program(List.of(scan()), List.of());
    for (int among : List.of(RECENT, PRINTS)) {
      double[] without = new double[ROUNDS];
      double[] with = new double[ROUNDS];
      for (int round = -1; round < ROUNDS; round++) {
        double bare = seconds(session(0, among), program);
        double corrected = seconds(session(CORRECTIONS, among), program);
        if (round >= 0) {
          without[round] = bare;
          with[round] = corrected;
        }
      }
      Arrays.sort(without);
      Arrays.sort(with);
      double more = with[ROUNDS / 2] - without[ROUNDS / 2];
      System.out.printf(
          Locale.ROOT,
          "%,d prints, fifteen triggers: %.0f ms; with %d corrections among the last %,d prints"
              + " %.0f ms: %.1f ms each%n",
          PRINTS,
          1e3 * without[ROUNDS / 2],
          CORRECTIONS,
          among,
          1e3 * with[ROUNDS / 2],
          1e3 * more / CORRECTIONS);
    }
  }

  private static Scan scan() {
    return new Scan(
        "Everything",
        "",
        Universe.EVERYONE,
        DayTime.FIRST,
        DayTime.LAST,
        List.of(),
        List.of(),
        TRIGGERS.stream().flatMap(words -> Trigger.parse(words).stream()).toList(),
        Scan.DEFAULT_FOLD,
        Side.BOTH,
        50,
        List.of(),
        List.of());
  }

  private static double seconds(Session session, Program program) {
    int[] hits = new int[1];
    long begin = System.nanoTime();
    ScanEngine.replay(session, program, hit -> hits[0]++).runTo(DayTime.LAST);
    return (System.nanoTime() - begin) / (double) TimeUnit.SECONDS.toNanos(1);
  }

  /**
   * The corrections come one by one among the last prints, as they do after an exchange's fault.
   *
   * @param among of so many prints before it each is one
   */
  private static Session session(int corrections, int among) {
    Session like = BenchMarket.ofRegularHours(1, 2);
    SplittableRandom random = new SplittableRandom(20_310_312);
    EventTape tape = new EventTape(1);
    long price = like.security(0).previousClose();
    long now = SessionHours.OPEN;
    int from = PRINTS - 10 * CORRECTIONS;
    for (int i = 1; i <= PRINTS; i++) {
      now += 200 * DayTime.SECOND / 1_000;
      price = Math.max(20_000, price + (random.nextInt(21) - 10) * 100L);
      tape.trade(now, 0, price, 100 + random.nextInt(500), SaleCondition.REGULAR.bit(), i);
      if (i > from && i % 10 == 0 && (i - from) / 10 <= corrections) {
        long id = i - 1 - random.nextInt(Math.min(among, i - 1));
        if (i % 20 == 0) {
          tape.cancel(now, 0, id);
        } else {
          tape.correct(now, 0, id, price, 200);
        }
      }
    }
    return new Session(like.hours(), like.phases(), like.securities(), List.of(), List.of(), tape);
  }
}
