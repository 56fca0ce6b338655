package kelvo.research;

import org.jspecify.annotations.Nullable;

/**
 * The prices of one security of a session that is over, at which a case could get in and out.
 * Moments are {@link kelvo.time.DayTime}, prices dollars.
 */
public interface CasePath {
  /** The entry at the first price after a moment; null when there is none any more. */
  @Nullable Entry entryAfter(long moment, int direction);

  /** A moment, or when trading went on if it was halted then. */
  long exitTime(long moment);

  /** The price in force at a moment; NaN before the first. */
  double priceAt(long moment);

  /**
   * The furthest price one way from an entry until a moment; NaN without one.
   *
   * @param way 1 for the highest, -1 for the lowest
   */
  double furthest(Entry entry, long until, int way);

  /**
   * When a price was first reached after an entry.
   *
   * @param way 1 for it or more, -1 for it or less
   * @return the moment; {@link TimeTo#NEVER} when it was not
   */
  long firstAt(Entry entry, double price, int way);

  /** The last price of the session; NaN without one. */
  double last();

  /**
   * An entry.
   *
   * @param at of the price
   * @param price with half of the spread
   * @param spreadAssumed whether no quote told the spread
   */
  record Entry(long at, double price, boolean spreadAssumed) {
    private static final double CENT = 0.01;
    private static final double LEAST_TICK = 0.0001;

    /**
     * An entry where no quote tells the spread: the usual one stands for it, or one tick when that
     * is more.
     *
     * @param usual dollars; 0 when none is known
     */
    public static Entry assumed(long at, double price, int direction, double usual) {
      double tick = price >= 1 ? CENT : LEAST_TICK;
      return new Entry(at, price + direction * Math.max(tick, usual) / 2, true);
    }
  }
}
