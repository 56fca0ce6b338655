package kelvo.field;

import kelvo.tape.Price;

/** Ratios that are unknown (NaN) when a part of them is. */
final class Formulas {
  private Formulas() {}

  /** (price - base) / base in per cent, rounded once. */
  static double percentOf(long price, long base) {
    return price == Price.NONE || base == Price.NONE ? Double.NaN : 100.0 * (price - base) / base;
  }

  /** (value - base) / base in per cent. */
  static double percentOf(double value, double base) {
    return 100 * (value - base) / base;
  }

  /** a / b; unknown when b is not above zero. */
  static double ratio(double a, double b) {
    return b > 0 ? a / b : Double.NaN;
  }
}
