package kelvo.sim;

import java.util.List;
import java.util.SplittableRandom;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;

/** Invents what auctions cannot pair before the open and the close. */
final class InventedAuctions {
  private static final double MIN_VOLUME = 300_000;
  private static final long EVERY = 30 * DayTime.SECOND;
  private static final long BEFORE_OPEN = 2 * DayTime.MINUTE;
  private static final long BEFORE_CLOSE = 10 * DayTime.MINUTE;
  private static final int SOME = 6;

  private InventedAuctions() {}

  /** Time, stock, unpaired shares (below 0 when sellers wait), reference price, paired shares. */
  static SessionEvents of(List<InventedStock> stocks, long seed, SessionHours hours) {
    SessionEvents events = new SessionEvents();
    for (int i = 0; i < stocks.size(); i++) {
      InventedStock stock = stocks.get(i);
      SplittableRandom random = new SplittableRandom(seed * 69_069 + i);
      if (stock.averageVolume() >= MIN_VOLUME && random.nextInt(SOME) == 0) {
        auction(events, i, stock, random, SessionHours.OPEN - BEFORE_OPEN, SessionHours.OPEN);
        auction(events, i, stock, random, hours.close() - BEFORE_CLOSE, hours.close());
      }
    }
    return events;
  }

  private static void auction(
      SessionEvents events,
      int number,
      InventedStock stock,
      SplittableRandom random,
      long from,
      long to) {
    double waiting = stock.averageVolume() * 0.05 * random.nextGaussian();
    double paired = stock.averageVolume() * 0.01;
    for (long at = from + random.nextLong(EVERY); at < to; at += EVERY) {
      double multiple = Story.between(stock.price(), at);
      events.add(
          (int) (at / DayTime.MILLISECOND),
          number,
          Math.round(waiting),
          Price.of(Math.max(0.01, Math.round(stock.adjustedClose() * multiple * 100) / 100.0)),
          (int) Math.min(Integer.MAX_VALUE, paired),
          0);
      waiting *= 0.75 + 0.2 * random.nextDouble();
      paired *= 1.1 + 0.2 * random.nextDouble();
    }
  }
}
