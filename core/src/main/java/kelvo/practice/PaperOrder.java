package kelvo.practice;

import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * An order on paper.
 *
 * @param id unique among the orders of a session, above 0
 * @param symbol in which security
 * @param way 1 to buy, -1 to sell
 * @param shares above 0
 * @param exits with which it is a bracket; null for an order alone
 */
public record PaperOrder(
    long id, String symbol, int way, long shares, Terms terms, @Nullable Exits exits) {
  /**
   * How what a bracket has bought or sold is given back: at a stop or at a target, whichever comes
   * first.
   *
   * @param stop {@link kelvo.tape.Price} units
   * @param target likewise, on the other side of the entry
   */
  public record Exits(long stop, long target) {}

  public PaperOrder {
    if (id <= 0 || shares <= 0) {
      throw new RefusedException(
          "an order needs a number and shares above 0, found " + id + " and " + shares);
    }
    if (way != 1 && way != -1) {
      throw new RefusedException("way must be 1 or -1, found " + way);
    }
    if (exits != null && way * (exits.target() - exits.stop()) <= 0) {
      throw new RefusedException(
          "the stop of a bracket that "
              + (way > 0 ? "buys lies below" : "sells lies above")
              + " its target");
    }
  }

  /** An order alone. */
  public PaperOrder(long id, String symbol, int way, long shares, Terms terms) {
    this(id, symbol, way, shares, terms, null);
  }
}
