package kelvo.trade;

import java.util.Locale;

/**
 * How much of a security an account may trade. A cash account buys for its cash. A margin account
 * buys for twice that overnight (Regulation T, 12 CFR 220.12: half of the value is put up), and for
 * four times that within a day (FINRA Rule 4210(f)(8)); both from memory. Short selling is up to
 * the broker.
 *
 * @param longs multiple of the account for buying
 * @param shorts multiple of the account for selling short; 0 for none
 */
public record BuyingPower(double longs, double shorts) {
  /** Of the words of the settings: "cash", "margin 4x"; "none", "2x". */
  public static BuyingPower of(String buying, String selling) {
    return new BuyingPower(times(buying), times(selling));
  }

  private static double times(String words) {
    return switch (words.toLowerCase(Locale.ROOT)) {
      case "cash", "1x" -> 1;
      case "margin 2x", "2x" -> 2;
      case "margin 4x" -> 4;
      default -> 0;
    };
  }

  /**
   * How many shares at a price an account affords.
   *
   * @param account dollars
   * @param direction 1 for buying, -1 for selling short
   * @param price dollars a share
   */
  public long shares(double account, int direction, double price) {
    return price > 0 ? (long) Math.floor(account * (direction < 0 ? shorts : longs) / price) : 0;
  }
}
