package kelvo.history;

import java.util.stream.DoubleStream;

/** The middle of the known values; of an even number, the mean of the two in the middle. */
public final class Median {
  private Median() {}

  /** NaN when no value is known. */
  public static double of(DoubleStream values) {
    double[] sorted = values.filter(v -> !Double.isNaN(v)).sorted().toArray();
    int n = sorted.length;
    return n == 0 ? Double.NaN : (sorted[(n - 1) / 2] + sorted[n / 2]) / 2;
  }
}
