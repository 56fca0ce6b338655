package kelvo.trade;

import kelvo.tape.Price;

/**
 * How many shares a trade may have so that it loses no more than was set, and what it costs. Advice
 * only.
 *
 * @param shares whole shares
 * @param loss dollars lost at the stop, fees and half a spread on both sides included
 * @param breakEven how far the price has to go until fees and spread are paid, dollars a share
 */
public record PositionSize(long shares, double loss, double breakEven) {
  /**
   * The size of a trade: risk / (|entry - stop| + costs a share).
   *
   * @param risk dollars that may be lost
   * @param entry {@link Price} units
   * @param stop {@link Price} units
   * @param spread between bid and ask, {@link Price} units; 0 when it is not known
   */
  public static PositionSize of(double risk, long entry, long stop, long spread, Fees fees) {
    double distance = Math.abs(entry - stop) / (double) Price.DOLLAR;
    double half = spread / (double) Price.DOLLAR / 2;
    double aShare = distance + 2 * half + 2 * fees.perShare().doubleValue();
    double left = risk - 2 * fees.perOrder().doubleValue();
    return ofShares(
        aShare > 0 && left > 0 ? (long) Math.floor(left / aShare) : 0, entry, stop, spread, fees);
  }

  /** What a trade of so many shares loses at the stop, and what it costs. */
  public static PositionSize ofShares(long shares, long entry, long stop, long spread, Fees fees) {
    double distance = Math.abs(entry - stop) / (double) Price.DOLLAR;
    double half = spread / (double) Price.DOLLAR / 2;
    double costs = fees.roundTrip(shares) + 2 * half * shares;
    return new PositionSize(
        shares, distance * shares + costs, shares == 0 ? 0 : breakEven(costs, shares));
  }

  /** How far the price has to go until the costs are paid, dollars a share. */
  public static double breakEven(double costs, double shares) {
    return costs / shares;
  }
}
