package kelvo.state;

import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/**
 * The prices outside which a stock may not trade for the moment. Source: the national market
 * system's plan to address extraordinary volatility, as amended 2020, from memory.
 *
 * @param low {@link Price} units
 * @param high {@link Price} units
 */
public record VolatilityBand(long low, long high) {
  private static final long THREE_DOLLARS = 3L * Price.DOLLAR;
  private static final long SEVENTY_FIVE_CENTS = Price.DOLLAR * 3L / 4;
  private static final long FIFTEEN_CENTS = Price.DOLLAR * 15L / 100;
  private static final long DOUBLED_FOR = 25 * DayTime.MINUTE;

  /**
   * The band around a reference price; null outside regular hours.
   *
   * @param tier 1 for members of the large indexes, else 2
   */
  public static @Nullable VolatilityBand around(
      long reference, long previousClose, int tier, SessionHours hours, long at) {
    if (!hours.regular(at) || reference == Price.NONE || previousClose == Price.NONE) {
      return null;
    }
    boolean doubled =
        at >= hours.close() - DOUBLED_FOR && (tier == 1 || previousClose <= THREE_DOLLARS);
    long width = width(reference, previousClose, tier) * (doubled ? 2 : 1);
    return new VolatilityBand(Math.max(1, reference - width), reference + width);
  }

  private static long width(long reference, long previousClose, int tier) {
    if (previousClose > THREE_DOLLARS) {
      return reference * (tier == 1 ? 5 : 10) / 100;
    }
    return previousClose >= SEVENTY_FIVE_CENTS
        ? reference / 5
        : Math.min(FIFTEEN_CENTS, reference * 3 / 4);
  }

  /** How far a price is from the nearer side, in per cent of it; below 0 outside. */
  public double distancePercent(long price) {
    return 100.0 * Math.min(price - low, high - price) / price;
  }
}
