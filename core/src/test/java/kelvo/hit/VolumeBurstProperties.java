package kelvo.hit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.history.UsualDay;
import kelvo.session.EarlierDays;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** Bursts of volume, by prints and by the clock, against a walk over every moment. */
class VolumeBurstProperties {
  private static final long FIVE_MINUTES = 5 * DayTime.MINUTE;
  private static final long BEGIN = DayTime.of(9, 40);
  private static final int PRINTS = 60;

  private record Print(long at, long shares) {}

  private static List<Print> prints(SplittableRandom random) {
    List<Print> prints = new ArrayList<>();
    long at = BEGIN;
    for (int i = 0; i < PRINTS; i++) {
      at += random.nextLong(1, random.nextInt(6) == 0 ? 400 * DayTime.SECOND : 20 * DayTime.SECOND);
      prints.add(new Print(at, random.nextLong(1, 4_000)));
    }
    return prints;
  }

  /** Sums of twenty sessions, with stretches of silence. */
  private static double[] usual(SplittableRandom random) {
    double[] minutes = new double[960];
    for (int m = 330; m < 430; m++) {
      minutes[m] = random.nextInt(3) == 0 ? 0 : random.nextInt(60_000);
    }
    return minutes;
  }

  /**
   * Every print at its time and every whole second in turn: whether volume is at least the bound,
   * and was not at the moment before.
   */
  private static List<Long> walked(
      List<Print> prints, UsualDay usual, double times, double floor, long end) {
    List<Long> fired = new ArrayList<>();
    boolean was = false;
    int next = 0;
    for (long second = BEGIN - BEGIN % DayTime.SECOND; second <= end; second += DayTime.SECOND) {
      while (next < prints.size() && prints.get(next).at() < second) {
        long at = prints.get(next++).at();
        boolean without = holds(prints.subList(0, next - 1), usual, times, floor, at);
        boolean holds = holds(prints.subList(0, next), usual, times, floor, at);
        if (holds && !(was && without)) {
          fired.add(at);
        }
        was = holds;
      }
      boolean holds = holds(prints.subList(0, next), usual, times, floor, second);
      if (holds && !was) {
        fired.add(second);
      }
      was = holds;
    }
    return fired;
  }

  private static boolean holds(
      List<Print> prints, UsualDay usual, double times, double floor, long at) {
    long volume =
        prints.stream()
            .filter(print -> print.at() > at - FIVE_MINUTES && print.at() <= at)
            .mapToLong(Print::shares)
            .sum();
    return volume > 0 && volume >= floor && volume >= times * usual.meanOf(FIVE_MINUTES, 0, at);
  }

  @Property(tries = 150)
  void eachBurstIsFoundAtThePrintOrTheSecondThatMakesIt(
      @ForAll long seed, @IntRange(min = 1, max = 6) @ForAll int times) {
    SplittableRandom random = new SplittableRandom(seed);
    List<Print> prints = prints(random);
    double[] minutes = usual(random);
    UsualDay usual = UsualDay.of(1, i -> 20, i -> minutes);
    long floor = random.nextInt(2) * 3_000L;
    Session session =
        TestSessions.of(
                1,
                tape -> {
                  for (int i = 0; i < prints.size(); i++) {
                    Print print = prints.get(i);
                    tape.trade(
                        print.at(), 0, 100_000, print.shares(), SaleCondition.REGULAR.bit(), i + 1);
                  }
                })
            .with(EarlierDays.ofVolume(usual));
    String words = "volume burst " + times + "x" + (floor == 0 ? "" : " of at least 3K");

    List<Long> found =
        TestSessions.hits(session, TestSessions.scan("bursts", Trigger.parse(words))).stream()
            .map(Hit::at)
            .toList();

    long end = prints.getLast().at() + 10 * DayTime.MINUTE;
    assertThat(found).isEqualTo(walked(prints, usual, times, floor, end));
  }
}
