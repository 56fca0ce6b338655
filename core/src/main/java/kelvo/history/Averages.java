package kelvo.history;

import java.util.Arrays;
import kelvo.tape.Price;

/**
 * Moving averages and the average true range. Values before the first full span are unknown (NaN).
 */
public final class Averages {
  private Averages() {}

  /** Simple moving average of n values. */
  public static double[] sma(double[] values, int n) {
    double[] out = unknown(values.length);
    double sum = 0;
    for (int i = 0; i < values.length; i++) {
      sum += values[i];
      if (i >= n) {
        sum -= values[i - n];
      }
      if (i >= n - 1) {
        out[i] = sum / n;
      }
    }
    return out;
  }

  /**
   * Exponential moving average: alpha = 2 / (n + 1), seeded with the simple average of the first n
   * values.
   */
  public static double[] ema(double[] values, int n) {
    double[] out = unknown(values.length);
    if (values.length < n) {
      return out;
    }
    double ema = Arrays.stream(values, 0, n).sum() / n;
    out[n - 1] = ema;
    for (int i = n; i < values.length; i++) {
      ema = emaStep(ema, values[i], n);
      out[i] = ema;
    }
    return out;
  }

  /** One more step of an exponential average. */
  public static double emaStep(double ema, double value, int n) {
    return ema + emaWeight(n) * (value - ema);
  }

  /** The weight of the newest value in an exponential average of n. */
  public static double emaWeight(int n) {
    return 2.0 / (n + 1);
  }

  /**
   * Average true range, smoothed as published by J. Welles Wilder (1978): the first value, at index
   * n, is the mean of true ranges 1..n; then each new range weighs 1/n.
   *
   * @return dollars, one value a bar
   */
  public static double[] atr(DailyBarList bars, int n) {
    double[] out = unknown(bars.size());
    double atr = 0;
    for (int i = 1; i < bars.size(); i++) {
      double range = trueRange(bars, i);
      if (i <= n) {
        atr += range / n;
      } else {
        atr += (range - atr) / n;
      }
      if (i >= n) {
        out[i] = atr;
      }
    }
    return out;
  }

  private static double trueRange(DailyBarList bars, int i) {
    long before = bars.close(i - 1);
    long high = Math.max(bars.high(i), before);
    long low = Math.min(bars.low(i), before);
    return (high - low) / (double) Price.DOLLAR;
  }

  private static double[] unknown(int length) {
    double[] out = new double[length];
    Arrays.fill(out, Double.NaN);
    return out;
  }
}
