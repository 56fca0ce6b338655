package kelvo.level;

import kelvo.refusal.RefusedException;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * A price on a security that alerts when it is passed; a trend line's price changes with time.
 *
 * @param symbol the security
 * @param price {@link kelvo.tape.Price} units; a trend line's at {@code setAt}
 * @param kind what it stands for
 * @param setAt from when it counts, {@link kelvo.time.DayTime}
 * @param removedAt until when; Long.MAX_VALUE while it stands
 * @param rise by how many price units it rises an hour, below 0 when it falls; 0 but for trend
 *     lines
 */
public record Level(
    String symbol, long price, LevelKind kind, long setAt, long removedAt, double rise) {
  private static final long MIN_PRICE = 1;

  public Level {
    if (price <= 0) {
      throw new RefusedException("a level needs a price above 0, found " + price);
    }
    if (rise != 0 && kind != LevelKind.TREND_LINE) {
      throw new RefusedException("only a trend line rises or falls, found " + kind);
    }
  }

  /** A level that stands from a moment on. */
  public static Level standing(String symbol, long price, LevelKind kind, long setAt) {
    return new Level(symbol, price, kind, setAt, Long.MAX_VALUE, 0);
  }

  /**
   * A trend line through two points, which stands from a moment on.
   *
   * @throws RefusedException when the points are of one moment, or the line is not above 0 at the
   *     moment from which it stands
   */
  public static Level trendLine(
      String symbol, long firstAt, long firstPrice, long secondAt, long secondPrice, long setAt) {
    if (firstAt == secondAt) {
      throw new RefusedException("a trend line needs two points of different times");
    }
    double rise = (secondPrice - firstPrice) * (double) DayTime.HOUR / (secondAt - firstAt);
    long price = Math.round(firstPrice + rise * (setAt - firstAt) / DayTime.HOUR);
    return new Level(symbol, price, LevelKind.TREND_LINE, setAt, Long.MAX_VALUE, rise);
  }

  /** Its price at a moment, never below the least price there is. */
  public long priceAt(long moment) {
    return rise == 0
        ? price
        : Math.max(MIN_PRICE, Math.round(price + rise * (moment - setAt) / DayTime.HOUR));
  }

  /** Its kind and its price at a moment. */
  public String words(long moment) {
    return kind.words() + " " + Price.text(priceAt(moment));
  }

  /**
   * How far the level is at a moment from a price, in per cent of that price; above is positive.
   */
  public double distancePercent(long from, long moment) {
    return 100.0 * (priceAt(moment) - from) / from;
  }

  /** Whether it counts at a moment. */
  public boolean standsAt(long moment) {
    return moment >= setAt && moment < removedAt;
  }

  /** This level, counting until a moment only. */
  public Level until(long moment) {
    return new Level(symbol, price, kind, setAt, moment, rise);
  }
}
