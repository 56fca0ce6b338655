package kelvo.research;

import java.util.ArrayList;
import java.util.List;
import kelvo.history.DailyBar;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/** What came of an entry at each horizon. */
public final class CaseResults {
  private final String symbol;
  private final CasePath path;
  private final CasePath.Entry entry;
  private final int direction;
  private final LaterDays later;
  private final double costs;
  private final List<Double> results = new ArrayList<>();
  private final List<Double> best = new ArrayList<>();
  private final List<Double> worst = new ArrayList<>();
  private final List<TimeTo> timesTo = new ArrayList<>();
  private boolean gone;

  /**
   * Works out what came of it.
   *
   * @param close when regular hours end, {@link DayTime}
   * @param closePrice the close, dollars; NaN without one
   */
  public CaseResults(
      String symbol,
      CasePath path,
      CasePath.Entry entry,
      Question question,
      long close,
      double closePrice,
      LaterDays later) {
    this.symbol = symbol;
    this.path = path;
    this.entry = entry;
    this.later = later;
    direction = question.direction().sign();
    costs = question.costs().part(entry.price());
    for (Held until : Held.values()) {
      if (until.minutes() > 0) {
        long end = path.exitTime(until.end(entry.at(), close));
        add(path.priceAt(end), end, 1);
      } else if (until == Held.CLOSE) {
        add(entry.at() >= close ? Double.NaN : closePrice, close, 1);
      } else {
        add(laterPrice(until), DayTime.LAST, until == Held.NEXT_OPEN ? 1 : until.day());
      }
    }
    for (Reach reach : Reach.values()) {
      timesTo.add(
          new TimeTo(
              timeTo(reach.from(entry.price(), direction), direction),
              timeTo(reach.from(entry.price(), -direction), -direction)));
    }
  }

  private long timeTo(double price, int way) {
    long at = path.firstAt(entry, price, way);
    return at == TimeTo.NEVER ? TimeTo.NEVER : at - entry.at();
  }

  /** By {@link Reach}. */
  public List<TimeTo> timesTo() {
    return timesTo;
  }

  /** By {@link Held}, as {@link ResearchCase#results}. */
  public List<Double> results() {
    return results;
  }

  /** Likewise, as {@link ResearchCase#best}. */
  public List<Double> best() {
    return best;
  }

  /** Likewise, as {@link ResearchCase#worst}. */
  public List<Double> worst() {
    return worst;
  }

  /** Whether the security ended before the last horizon. */
  public boolean isGone() {
    return gone;
  }

  private void add(double price, long end, int lastDay) {
    results.add(direction * (price / entry.price() - 1) - costs);
    best.add(Double.isNaN(price) ? price : Math.max(0, furthest(price, end, lastDay, direction)));
    worst.add(
        Double.isNaN(price) ? price : -Math.max(0, furthest(price, end, lastDay, -direction)));
  }

  /** How far the price went one way until the exit, as a part of the entry. */
  private double furthest(double exit, long end, int lastDay, int way) {
    double furthest = moved(exit, way);
    double extreme = path.furthest(entry, end, way);
    if (!Double.isNaN(extreme)) {
      furthest = Math.max(furthest, moved(extreme, way));
    }
    for (int day = 2; day <= lastDay; day++) {
      LaterDays.Later then = later.of(symbol, day);
      DailyBar bar = then.bar();
      if (then.standing() == LaterDays.Standing.TRADED && bar != null) {
        furthest = Math.max(furthest, moved(Price.dollars(way > 0 ? bar.high() : bar.low()), way));
      }
    }
    return furthest;
  }

  private double moved(double price, int way) {
    return way * (price / entry.price() - 1);
  }

  private double laterPrice(Held until) {
    LaterDays.Later then = later.of(symbol, until.day());
    DailyBar bar = then.bar();
    return switch (then.standing()) {
      case UNKNOWN -> Double.NaN;
      case TRADED ->
          bar == null
              ? Double.NaN
              : Price.dollars(until == Held.NEXT_OPEN ? bar.open() : bar.close());
      case GONE -> {
        gone = true;
        yield bar == null ? path.last() : Price.dollars(bar.close());
      }
    };
  }
}
