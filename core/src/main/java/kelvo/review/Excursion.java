package kelvo.review;

/**
 * How far the price went for and against a move, in per cent of the first price that could be had:
 * the maximum favourable and adverse excursion (MFE and MAE).
 *
 * @param best at its best; unknown (NaN) without a print
 * @param worst at its worst, at most 0; unknown (NaN) without a print
 */
public record Excursion(double best, double worst) {
  /** No print in the span. */
  public static final Excursion UNKNOWN = new Excursion(Double.NaN, Double.NaN);
}
