package kelvo.session;

import kelvo.tape.Price;

/**
 * A price that everybody looks at: a high, a low, a close or a VWAP of earlier.
 *
 * @param price {@link Price} units
 * @param name what it is
 */
public record ReferenceLevel(long price, String name) {
  /** What a daily swing high above the price is called. */
  public static final String SWING_HIGH = "swing high";

  /** Its name and price where there is little room. */
  public String shortWords() {
    return name.replace("premarket", "pm")
            .replace("prior-day", "prior")
            .replace("previous", "prior")
        + " "
        + Price.text(price);
  }

  /** Its name and price. */
  public String words() {
    return name + " " + Price.text(price);
  }
}
