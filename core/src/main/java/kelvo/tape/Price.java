package kelvo.tape;

import java.math.BigDecimal;
import java.math.RoundingMode;
import kelvo.refusal.RefusedException;

/**
 * Exact prices: whole numbers of 1/10,000 dollar, held in a long. Zero means that there is none.
 */
public final class Price {
  /** Units in a dollar. */
  public static final long DOLLAR = 10_000;

  /** No price is known. */
  public static final long NONE = 0;

  private Price() {}

  /**
   * Reads a decimal price in dollars.
   *
   * @throws RefusedException when the text is not a number or has more than four decimals
   */
  public static long parse(String dollars) {
    try {
      return new BigDecimal(dollars).movePointRight(4).longValueExact();
    } catch (NumberFormatException | ArithmeticException e) {
      throw new RefusedException(
          "expected a price such as 8.20 with at most four decimals, found \"" + dollars + "\"", e);
    }
  }

  /** The price nearest to a number of dollars. */
  public static long of(double dollars) {
    return Math.round(dollars * DOLLAR);
  }

  /** The price in dollars; unknown (NaN) when there is none. */
  public static double dollars(long price) {
    return price == NONE ? Double.NaN : price / (double) DOLLAR;
  }

  /** What a price may change by: a cent from one dollar on, a hundredth of a cent below. */
  public static long tick(long price) {
    return price >= DOLLAR ? DOLLAR / 100 : 1;
  }

  /**
   * The price at its tick size: two decimals from one dollar on, four below; empty when there is
   * none.
   */
  public static String text(long price) {
    if (price == NONE) {
      return "";
    }
    int decimals = Math.abs(price) < DOLLAR ? 4 : 2;
    return BigDecimal.valueOf(price, 4).setScale(decimals, RoundingMode.HALF_UP).toPlainString();
  }

  /** The price with as many decimals as it needs, at least two: for files, which lose nothing. */
  public static String exact(long price) {
    long size = Math.abs(price);
    boolean cents = size % 100 == 0;
    // Files of millions of prices are written with it: no BigDecimal.
    StringBuilder text = new StringBuilder(price < 0 ? "-" : "").append(size / DOLLAR).append('.');
    long rest = cents ? size % DOLLAR / 100 : size % DOLLAR;
    for (long digit = cents ? 10 : DOLLAR / 10; digit > 0; digit /= 10) {
      text.append((char) ('0' + rest / digit % 10));
    }
    return text.toString();
  }
}
