package kelvo.sim;

import java.util.List;
import java.util.SplittableRandom;
import kelvo.time.DayTime;

/** Invents how many people talk of a stock: of a few always, of those with a story a lot. */
final class InventedMentions {
  private static final long EVERY = 5 * DayTime.MINUTE;
  private static final int ONE_IN = 15;
  private static final double TYPICAL = 0.8;
  private static final double OF_A_STORY = 9;

  private InventedMentions() {}

  /** Time, stock and count. */
  static SessionEvents of(List<InventedStock> stocks, long seed) {
    SessionEvents events = new SessionEvents();
    for (int i = 0; i < stocks.size(); i++) {
      InventedStock stock = stocks.get(i);
      if (stock.story() == null && i % ONE_IN != 0) {
        continue;
      }
      SplittableRandom random = new SplittableRandom(seed * 48_271 + i);
      for (long at = DayTime.FIRST + random.nextLong(EVERY); at < DayTime.LAST; at += EVERY) {
        double prints = Story.since(stock.activity(), at).orElse(0);
        double busy = Math.min(6, 0.2 + Math.sqrt(prints) / 4);
        int count = Draws.poisson(random, busy * (stock.story() == null ? TYPICAL : OF_A_STORY));
        if (count > 0) {
          events.add((int) (at / DayTime.MILLISECOND), i, count, 0, 0, 0);
        }
      }
    }
    return events;
  }
}
