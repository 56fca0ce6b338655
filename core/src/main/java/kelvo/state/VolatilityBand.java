package kelvo.state;

import kelvo.session.Security;
import kelvo.session.SecurityKind;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/**
 * The prices outside which a stock may not trade for the moment, to the cent. Source: the national
 * market system's plan to address extraordinary volatility, as amended 2020, from memory.
 *
 * @param low {@link Price} units
 * @param high {@link Price} units
 */
public record VolatilityBand(long low, long high) {
  private static final long THREE_DOLLARS = 3L * Price.DOLLAR;
  private static final long SEVENTY_FIVE_CENTS = Price.DOLLAR * 3L / 4;
  private static final long FIFTEEN_CENTS = Price.DOLLAR * 15L / 100;
  private static final long CENT = Price.DOLLAR / 100;
  private static final long DOUBLED_FOR = 25 * DayTime.MINUTE;

  /**
   * The band around a reference price; null outside regular hours and for rights and warrants,
   * which have none.
   *
   * @param close the previous close, by which the width goes; for a stock without one the opening
   *     price
   */
  public static @Nullable VolatilityBand around(
      long reference, long close, Security security, SessionHours hours, long at) {
    boolean none = security.kind() == SecurityKind.RIGHT || security.kind() == SecurityKind.WARRANT;
    if (none || !hours.regular(at) || reference == Price.NONE || close == Price.NONE) {
      return null;
    }
    boolean doubled =
        at >= hours.close() - DOUBLED_FOR && (security.tier() == 1 || close <= THREE_DOLLARS);
    double width =
        width(reference, close, security.tier()) * security.leverage() * (doubled ? 2 : 1);
    return new VolatilityBand(Math.max(CENT, toCent(reference - width)), toCent(reference + width));
  }

  private static double width(long reference, long close, int tier) {
    if (close > THREE_DOLLARS) {
      return reference * (tier == 1 ? 0.05 : 0.10);
    }
    return close >= SEVENTY_FIVE_CENTS
        ? reference * 0.20
        : Math.min(FIFTEEN_CENTS, reference * 0.75);
  }

  private static long toCent(double price) {
    return Math.round(price / CENT) * CENT;
  }

  /** How far a price is from the nearer side, in per cent of it; below 0 outside. */
  public double distancePercent(long price) {
    return 100.0 * Math.min(price - low, high - price) / price;
  }
}
