package kelvo.history;

import java.time.LocalDate;
import kelvo.refusal.RefusedException;
import kelvo.tape.EventTape;
import kelvo.tape.Price;

/**
 * One regular session of a security. Prices are {@link Price} units; volume (shares) and trades are
 * of the whole day.
 */
public record DailyBar(
    LocalDate date, long open, long high, long low, long close, long volume, long trades) {
  public DailyBar {
    if (low > high || open < low || open > high || close < low || close > high || low <= 0) {
      throw new RefusedException(
          "expected prices above 0, open and close between low and high, found open "
              + Price.exact(open)
              + ", high "
              + Price.exact(high)
              + ", low "
              + Price.exact(low)
              + ", close "
              + Price.exact(close));
    }
  }

  /** This bar at the prices and share counts after a split. */
  DailyBar adjusted(double ratio) {
    return new DailyBar(
        date,
        price(open / ratio),
        price(high / ratio),
        price(low / ratio),
        price(close / ratio),
        Math.round(volume * ratio),
        trades);
  }

  /** However large the splits since, a price stays one. */
  private static long price(double adjusted) {
    return Math.clamp(Math.round(adjusted), 1, EventTape.GREATEST_PRICE);
  }
}
