package kelvo.watch;

/**
 * A price on a security that alerts when it is passed.
 *
 * @param symbol the security
 * @param price {@link kelvo.market.Price} units
 * @param kind what it stands for
 * @param setAt from when it counts, {@link kelvo.time.DayTime}
 * @param removedAt until when; Long.MAX_VALUE while it stands
 */
public record Level(String symbol, long price, LevelKind kind, long setAt, long removedAt) {
  public Level {
    if (price <= 0) {
      throw new IllegalArgumentException("a level needs a price above 0, found " + price);
    }
  }

  /** A level that stands from a moment on. */
  public static Level standing(String symbol, long price, LevelKind kind, long setAt) {
    return new Level(symbol, price, kind, setAt, Long.MAX_VALUE);
  }

  /** How far the level is from a price, in per cent of that price; above is positive. */
  public double distancePercent(long from) {
    return 100.0 * (price - from) / from;
  }

  /** Whether it counts at a moment. */
  public boolean standsAt(long moment) {
    return moment >= setAt && moment < removedAt;
  }
}
