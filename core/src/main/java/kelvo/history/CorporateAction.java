package kelvo.history;

import java.time.LocalDate;
import kelvo.refusal.RefusedException;

/**
 * A split. Prices before {@code date} are multiplied by 1 / ratio, volumes and share counts by
 * ratio.
 *
 * @param symbol the security
 * @param date first session at the new price
 * @param ratio new shares per old: 2 for two-for-one, 0.1 for a one-for-ten reverse split
 */
public record CorporateAction(String symbol, LocalDate date, double ratio) {
  public CorporateAction {
    if (!(ratio > 0)) {
      throw new RefusedException("expected a split ratio above 0, found " + ratio);
    }
  }

  /** The split in words, such as "1-for-10 reverse split". */
  public String words() {
    return ratio < 1
        ? "1-for-" + plain(1 / ratio) + " reverse split"
        : plain(ratio) + "-for-1 split";
  }

  private static String plain(double n) {
    double rounded = Math.round(n * 100) / 100.0;
    return rounded == Math.rint(rounded) ? Long.toString((long) rounded) : Double.toString(rounded);
  }
}
