package kelvo.statistics;

import java.util.Arrays;
import java.util.Collection;
import java.util.SplittableRandom;

/**
 * A mean with the 95% interval that chance leaves it, by the percentile bootstrap (Efron and
 * Tibshirani, An Introduction to the Bootstrap, 1993, chapter 13; from memory). Whole sessions are
 * drawn again, since the trades of one day are not independent. The same numbers give the same
 * interval.
 *
 * @param low NaN when there is one session or none: then chance cannot be told
 * @param high likewise
 */
public record MeanInterval(double mean, double low, double high) {
  private static final int DRAWS = 10_000;
  private static final long SEED = 20_310_312;
  private static final double TAIL = 0.025;

  /** The mean of some numbers, which come in sessions. */
  public static MeanInterval of(Collection<double[]> sessions) {
    double[] sums = sessions.stream().mapToDouble(one -> Arrays.stream(one).sum()).toArray();
    int[] counts = sessions.stream().mapToInt(one -> one.length).toArray();
    int n = sums.length;
    double mean = Arrays.stream(sums).sum() / Arrays.stream(counts).sum();
    if (n < 2) {
      return new MeanInterval(n == 0 ? Double.NaN : mean, Double.NaN, Double.NaN);
    }
    SplittableRandom random = new SplittableRandom(SEED);
    double[] means = new double[DRAWS];
    for (int draw = 0; draw < DRAWS; draw++) {
      double sum = 0;
      int count = 0;
      for (int i = 0; i < n; i++) {
        int session = random.nextInt(n);
        sum += sums[session];
        count += counts[session];
      }
      means[draw] = sum / count;
    }
    Arrays.sort(means);
    return new MeanInterval(
        mean, means[(int) (TAIL * DRAWS)], means[(int) ((1 - TAIL) * DRAWS) - 1]);
  }
}
