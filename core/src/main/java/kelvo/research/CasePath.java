package kelvo.research;

import kelvo.tape.Price;
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
    /**
     * An entry at a price with half of a spread.
     *
     * @param price of a print or a bar, {@link Price} units, as is the spread
     * @param direction 1 when one buys, -1 when one sells short
     */
    public static Entry beyond(
        long at, long price, int direction, long spread, boolean spreadAssumed) {
      double half = spread / (2.0 * Price.DOLLAR);
      return new Entry(at, Price.dollars(price) + direction * half, spreadAssumed);
    }
  }
}
