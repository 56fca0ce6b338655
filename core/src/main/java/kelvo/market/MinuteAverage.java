package kelvo.market;

/**
 * Exponential average of the closes of 1-minute bars. Minutes without a print carry no bar. Seeded
 * with the simple average of the first n bars, unknown before.
 */
final class MinuteAverage {
  private final int span;
  private final double weight;
  private int bars;
  private double sum;
  private double ema;

  MinuteAverage(int span) {
    this.span = span;
    weight = Averages.emaWeight(span);
  }

  /** Takes the close of a minute that is over. */
  void close(double dollars) {
    bars++;
    if (bars <= span) {
      sum += dollars;
      ema = sum / span;
    } else {
      ema = ema + weight * (dollars - ema);
    }
  }

  /** The average with the close of the minute that still runs; unknown (NaN) before n bars. */
  double with(double running) {
    if (bars + 1 < span) {
      return Double.NaN;
    }
    return bars + 1 == span ? (sum + running) / span : ema + weight * (running - ema);
  }

  void copyFrom(MinuteAverage other) {
    bars = other.bars;
    sum = other.sum;
    ema = other.ema;
  }
}
