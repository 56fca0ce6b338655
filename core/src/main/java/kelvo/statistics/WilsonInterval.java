package kelvo.statistics;

/**
 * The 95% interval of a share, by E. B. Wilson (1927).
 *
 * @param low lower end, 0 to 1; NaN without cases
 * @param high upper end
 */
public record WilsonInterval(double low, double high) {
  private static final double Z = 1.959963984540054;

  /** The interval of {@code successes} among {@code cases}. */
  public static WilsonInterval of(int successes, int cases) {
    if (successes < 0 || successes > cases) {
      throw new IllegalArgumentException(successes + " successes among " + cases + " cases");
    }
    if (cases == 0) {
      return new WilsonInterval(Double.NaN, Double.NaN);
    }
    double share = successes / (double) cases;
    double z2 = Z * Z / cases;
    double centre = (share + z2 / 2) / (1 + z2);
    double half = Z * Math.sqrt(share * (1 - share) / cases + z2 / cases / 4) / (1 + z2);
    return new WilsonInterval(Math.max(0, centre - half), Math.min(1, centre + half));
  }
}
