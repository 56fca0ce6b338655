package kelvo.desktop.theme;

import java.util.Locale;
import kelvo.time.DayTime;

/**
 * Signed numbers as they stand on screen. Up and down are told by the sign, not by colour alone.
 */
public final class Numbers {
  private Numbers() {}

  /** A percentage with its sign, one decimal, none when that is zero; empty when unknown. */
  public static String percent(double value) {
    if (Double.isNaN(value)) {
      return "";
    }
    String text = String.format(Locale.ROOT, "%+.1f%%", value);
    return text.substring(1).equals("0.0%") ? "0.0%" : text;
  }

  /** Dollars with their sign; empty when unknown. */
  public static String money(double value) {
    return Double.isNaN(value)
        ? ""
        : String.format(Locale.ROOT, "%s$%,.2f", value < 0 ? "-" : "+", Math.abs(value));
  }

  /** A whole number as a place: 1st, 2nd, 11th. */
  public static String ordinal(int value) {
    boolean teens = value / 10 % 10 == 1;
    return value
        + switch (teens ? 0 : value % 10) {
          case 1 -> "st";
          case 2 -> "nd";
          case 3 -> "rd";
          default -> "th";
        };
  }

  /** A whole number in groups of three digits. */
  public static String whole(long value) {
    return String.format(Locale.ROOT, "%,d", value);
  }

  /** A number with so many decimals; empty when unknown. */
  public static String fixed(double value, int decimals) {
    return Double.isNaN(value) ? "" : String.format(Locale.ROOT, "%." + decimals + "f", value);
  }

  /** The time of a news item, with the day when it is an earlier one. */
  public static String when(long at) {
    return at >= 0
        ? DayTime.minutes(at)
        : "earlier, " + DayTime.minutes(Math.floorMod(at, DayTime.DAY));
  }
}
