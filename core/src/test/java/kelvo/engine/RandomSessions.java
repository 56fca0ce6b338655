package kelvo.engine;

import java.util.Arrays;
import java.util.SplittableRandom;
import kelvo.market.EventTape;
import kelvo.market.SaleCondition;
import kelvo.market.Session;
import kelvo.market.TradingState;
import kelvo.time.DayTime;

/** Sessions of random prints, quotes, halts and news, for properties. */
final class RandomSessions {
  private RandomSessions() {}

  /** Events spread evenly from 04:00 to 20:00, in order of time. */
  static Session of(long seed, int securities, int events) {
    SplittableRandom random = new SplittableRandom(seed);
    long[] prices = new long[securities];
    Arrays.fill(prices, 100_000);
    return TestSessions.of(
        securities,
        tape -> {
          for (int i = 0; i < events; i++) {
            long at =
                DayTime.FIRST
                    + (DayTime.LAST - DayTime.FIRST) / events * i
                    + random.nextLong(DayTime.MILLISECOND);
            event(tape, at, random, prices);
          }
        });
  }

  private static void event(EventTape tape, long at, SplittableRandom random, long[] prices) {
    int security = random.nextInt(prices.length);
    int draw = random.nextInt(2_000);
    if (draw == 0) {
      tape.news(at, security, 0);
    } else if (draw == 1) {
      tape.status(at, security, TradingState.values()[random.nextInt(3)], "T1");
    } else if (draw < 600) {
      long half = 100L * (1 + random.nextInt(3));
      tape.quote(at, security, prices[security] - half, 100, prices[security] + half, 100);
    } else {
      prices[security] = Math.max(5_000, prices[security] + (random.nextInt(11) - 5) * 20);
      int conditions =
          random.nextInt(9) == 0 ? SaleCondition.ODD_LOT.bit() : SaleCondition.REGULAR.bit();
      tape.trade(at, security, prices[security], 1 + random.nextInt(3_000), conditions);
    }
  }
}
