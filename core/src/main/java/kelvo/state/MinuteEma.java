package kelvo.state;

import kelvo.history.Averages;

/**
 * The exponential average of the closes of 1-minute bars as one number beside the count of its
 * bars, so that it can lie beside whatever else is kept about a security. Minutes without a print
 * carry no bar. Seeded with the simple average of the first n bars; until then the number is their
 * sum.
 */
final class MinuteEma {
  private static final int BARS = 9;
  private static final double WEIGHT = Averages.emaWeight(BARS);

  private MinuteEma() {}

  /**
   * After the close of one more minute.
   *
   * @param bars how many there were before
   */
  static double closed(double ema, int bars, double dollars) {
    if (bars >= BARS) {
      return ema + WEIGHT * (dollars - ema);
    }
    double sum = ema + dollars;
    return bars + 1 == BARS ? sum / BARS : sum;
  }

  /** The average with the close of the minute that still runs; unknown (NaN) before n bars. */
  static double with(double ema, int bars, double running) {
    return bars + 1 < BARS ? Double.NaN : closed(ema, bars, running);
  }
}
