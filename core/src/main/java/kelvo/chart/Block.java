package kelvo.chart;

import kelvo.tape.Price;

/**
 * One print of much money at once, at a price of the moment.
 *
 * @param at when, {@link kelvo.time.DayTime}
 * @param price {@link Price} units
 * @param shares how many
 */
public record Block(long at, long price, long shares) {
  /** The money of it, dollars. */
  public double dollars() {
    return shares * Price.dollars(price);
  }
}
