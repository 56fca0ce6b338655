package kelvo.hit;

import java.util.Arrays;
import java.util.Map;
import java.util.SplittableRandom;
import kelvo.history.EarlierMinutes;
import kelvo.history.UsualDay;
import kelvo.session.EarlierDays;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;

/** Sessions of random events of every kind, for properties. */
public final class RandomSessions {
  private RandomSessions() {}

  /** Events spread evenly from 04:00 to 20:00, in order of time. */
  public static Session of(long seed, int securities, int events) {
    return of(seed, securities, events, 0);
  }

  /** The same, but one event in thirty comes up to a minute and a half after its time. */
  public static Session withLateEvents(long seed, int securities, int events) {
    return of(seed, securities, events, 90 * DayTime.SECOND);
  }

  private static Session of(long seed, int securities, int events, long lateness) {
    SplittableRandom random = new SplittableRandom(seed);
    long[] prices = new long[securities];
    Arrays.fill(prices, 100_000);
    Session session =
        TestSessions.of(
            securities,
            tape -> {
              for (int i = 0; i < events; i++) {
                long at =
                    DayTime.FIRST
                        + (DayTime.LAST - DayTime.FIRST) / events * i
                        + random.nextLong(DayTime.MILLISECOND);
                boolean late = lateness > 0 && random.nextInt(30) == 0;
                long told = late ? Math.max(DayTime.FIRST + 1, at - random.nextLong(lateness)) : at;
                event(tape, told, random, prices, i + 1);
              }
            });
    UsualDay volume = UsualDay.of(securities, RandomSessions::counted, i -> usual(events));
    UsualDay few = UsualDay.of(securities, RandomSessions::counted, i -> usual(40));
    return session.with(new EarlierDays(volume, few, few, Map.of(), EarlierMinutes.NONE));
  }

  /** Every other minute trades a little more than a session does here; one security is unknown. */
  private static double[] usual(int events) {
    double[] minutes = new double[960];
    for (int m = 0; m < minutes.length; m += 2) {
      minutes[m] = UsualDay.SESSIONS * events / 4;
    }
    return minutes;
  }

  private static int counted(int security) {
    return security == 0 ? 0 : UsualDay.SESSIONS;
  }

  private static void event(
      EventTape tape, long at, SplittableRandom random, long[] prices, long id) {
    int security = random.nextInt(prices.length);
    int draw = random.nextInt(2_000);
    if (draw == 0) {
      tape.news(at, security, (int) id);
    } else if (draw == 1) {
      tape.status(at, security, TradingState.values()[random.nextInt(3)], "T1");
    } else if (draw == 2) {
      tape.mention(at, security, random.nextInt(50));
    } else if (draw == 3) {
      tape.imbalance(at, security, random.nextBoolean(), 100, 40_000, prices[security]);
    } else if (draw < 8) {
      tape.cancel(at, security, id - random.nextInt(200));
    } else if (draw < 14) {
      tape.correct(at, security, id - random.nextInt(200), prices[security] + 500, 40);
    } else if (draw < 600) {
      long half = 100L * (1 + random.nextInt(3));
      tape.quote(at, security, prices[security] - half, 100, prices[security] + half, 100);
    } else {
      prices[security] = Math.max(5_000, prices[security] + (random.nextInt(11) - 5) * 20);
      int conditions =
          random.nextInt(9) == 0 ? SaleCondition.ODD_LOT.bit() : SaleCondition.REGULAR.bit();
      tape.trade(at, security, prices[security], 1 + random.nextInt(3_000), conditions, id);
    }
  }
}
