package kelvo.desktop.chart;

import java.time.LocalDate;

/**
 * Where the pointer is on one of the charts; all others draw it in the same place.
 *
 * @param symbol whose price it is; empty where no price is pointed at
 * @param price dollars; NaN where there is none
 * @param date the day
 * @param moment the time of that day, {@link kelvo.time.DayTime}; {@link #WHOLE_DAY} on daily bars
 */
public record PointedAt(String symbol, double price, LocalDate date, long moment) {
  /** No time of the day. */
  public static final long WHOLE_DAY = -1;

  /** Whether it is a price of a symbol. */
  boolean isPriceOf(String other) {
    return !Double.isNaN(price) && symbol.equals(other);
  }
}
