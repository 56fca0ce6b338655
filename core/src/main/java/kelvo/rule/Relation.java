package kelvo.rule;

/** How a field must stand to its bound. */
public enum Relation {
  AT_LEAST("at least", ">="),
  AT_MOST("at most", "<="),
  ABOVE("above", ">"),
  BELOW("below", "<"),
  BETWEEN("between", ""),
  IS_ONE_OF("is one of", ""),
  IS_NOT("is not", ""),
  IS("is", "=");

  private final String words;
  private final String sign;

  Relation(String words, String sign) {
    this.words = words;
    this.sign = sign;
  }

  /** The relation as written in a sentence. */
  public String words() {
    return words;
  }

  /** The sign that may be typed instead; empty without one. */
  String sign() {
    return sign;
  }

  /** The least number that stands in this relation to a bound. */
  public double low(double bound) {
    return switch (this) {
      case AT_LEAST, IS, IS_NOT -> bound;
      case ABOVE -> Math.nextUp(bound);
      default -> Double.NEGATIVE_INFINITY;
    };
  }

  /** The greatest number that stands in this relation to a bound. */
  public double high(double bound) {
    return switch (this) {
      case AT_MOST, IS, IS_NOT -> bound;
      case BELOW -> Math.nextDown(bound);
      default -> Double.POSITIVE_INFINITY;
    };
  }
}
