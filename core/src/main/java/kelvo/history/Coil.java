package kelvo.history;

/**
 * Whether a market has gone quiet: Bollinger bands (20, two population standard deviations) inside
 * Keltner bands (exponential average 20 of the close, 1.5 average true ranges of 20). Sources: John
 * Bollinger (2001) and, for the middle line and the range, common practice, no source.
 */
public final class Coil {
  /** How many bars the bands look back. */
  public static final int BARS = 20;

  private static final double DEVIATIONS = 2;
  private static final double RANGES = 1.5;

  private Coil() {}

  /**
   * Whether the newest close is coiled.
   *
   * @param closes closes, oldest first, of which the {@link #BARS} - 1 from {@code first} on stand
   *     before the newest
   * @param newest the newest close
   * @param ema exponential average of the closes, the newest included; NaN when unknown
   * @param atr average true range; NaN when unknown
   * @return 1 or 0; NaN when unknown
   */
  public static double of(double[] closes, int first, double newest, double ema, double atr) {
    if (Double.isNaN(ema) || Double.isNaN(atr)) {
      return Double.NaN;
    }
    double sum = newest;
    for (int i = first; i < first + BARS - 1; i++) {
      sum += closes[i];
    }
    double mean = sum / BARS;
    double squares = (newest - mean) * (newest - mean);
    for (int i = first; i < first + BARS - 1; i++) {
      squares += (closes[i] - mean) * (closes[i] - mean);
    }
    double band = DEVIATIONS * Math.sqrt(squares / BARS);
    boolean inside = mean + band < ema + RANGES * atr && mean - band > ema - RANGES * atr;
    return inside ? 1 : 0;
  }
}
