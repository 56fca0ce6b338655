package kelvo.universe;

import java.time.LocalDate;
import kelvo.refusal.RefusedException;
import kelvo.session.Security;

/**
 * A figure of a security that the trader has put right by hand.
 *
 * @param shares the right number
 * @param asOf the date of which it is right
 * @param source where it was read, in the trader's words
 */
public record Figure(String symbol, Kind kind, double shares, LocalDate asOf, String source) {
  /** What is put right. */
  public enum Kind {
    FLOAT("float"),
    SHARES_OUTSTANDING("shares_outstanding");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    /** The word in files. */
    public String word() {
      return word;
    }

    /**
     * The kind of a word.
     *
     * @throws RefusedException when there is none of that name
     */
    public static Kind of(String word) {
      for (Kind kind : values()) {
        if (kind.word.equals(word)) {
          return kind;
        }
      }
      throw new RefusedException("expected float or shares_outstanding, found " + word);
    }
  }

  /**
   * @throws RefusedException when the number is no number of shares
   */
  public Figure {
    if (!(shares >= 0) || Double.isInfinite(shares)) {
      throw new RefusedException("expected a number of shares, found " + shares);
    }
  }

  /** The security with this figure in place of the listed one. */
  public Security on(Security listed) {
    boolean isFloat = kind == Kind.FLOAT;
    return new Security(
        listed.symbol(),
        listed.name(),
        listed.mic(),
        listed.kind(),
        listed.sector(),
        listed.industry(),
        listed.country(),
        isFloat ? listed.sharesOutstanding() : shares,
        isFloat ? shares : listed.floatShares(),
        isFloat ? asOf : listed.floatAsOf(),
        isFloat ? listed.sharesAsOf() : asOf,
        listed.shortable(),
        listed.benchmark(),
        listed.extra());
  }
}
