package kelvo.market;

/**
 * Exponential average of the closes of 1-minute bars, the running bar included. Minutes without a
 * print carry no bar. Seeded with the simple average of the first n bars, unknown before.
 */
public final class MinuteAverage {
  private final int span;
  private long minute = -1;
  private double close;
  private int bars;
  private double sum;
  private double ema;

  MinuteAverage(int span) {
    this.span = span;
  }

  void next(long printMinute, long price) {
    if (printMinute != minute) {
      if (minute >= 0) {
        closeBar();
      }
      minute = printMinute;
    }
    close = Price.dollars(price);
  }

  private void closeBar() {
    bars++;
    if (bars <= span) {
      sum += close;
      ema = sum / span;
    } else {
      ema = Averages.emaStep(ema, close, span);
    }
  }

  /** The average in dollars; unknown (NaN) before n bars. */
  public double dollars() {
    if (minute < 0 || bars + 1 < span) {
      return Double.NaN;
    }
    return bars + 1 == span ? (sum + close) / span : Averages.emaStep(ema, close, span);
  }

  void copyFrom(MinuteAverage other) {
    minute = other.minute;
    close = other.close;
    bars = other.bars;
    sum = other.sum;
    ema = other.ema;
  }
}
