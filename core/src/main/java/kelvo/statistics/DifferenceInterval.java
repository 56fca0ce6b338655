package kelvo.statistics;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/**
 * How much one mean is above another, with the 95% interval that chance leaves it, by the
 * percentile bootstrap as {@link MeanInterval}. Sessions are drawn again with the numbers of both
 * sides, since a good day lifts both.
 *
 * @param low NaN with one session or none
 * @param high likewise
 */
public record DifferenceInterval(double difference, double low, double high) {
  private static final int DRAWS = 10_000;
  private static final long SEED = 20_310_312;
  private static final double TAIL = 0.025;

  /**
   * The difference of two means.
   *
   * @param first the numbers of one side by session
   * @param second those of the other in the same sessions; either may have none in some
   */
  public static DifferenceInterval of(List<double[]> first, List<double[]> second) {
    int[] each = new int[first.size()];
    Arrays.setAll(each, i -> i);
    double difference = difference(first, second, each);
    if (first.size() < 2) {
      return new DifferenceInterval(difference, Double.NaN, Double.NaN);
    }
    SplittableRandom random = new SplittableRandom(SEED);
    double[] drawn = new double[DRAWS];
    int[] sessions = new int[first.size()];
    int known = 0;
    for (int draw = 0; draw < DRAWS; draw++) {
      Arrays.setAll(sessions, i -> random.nextInt(sessions.length));
      double one = difference(first, second, sessions);
      if (!Double.isNaN(one)) {
        drawn[known++] = one;
      }
    }
    if (known < 2) {
      return new DifferenceInterval(difference, Double.NaN, Double.NaN);
    }
    double[] sorted = Arrays.copyOf(drawn, known);
    Arrays.sort(sorted);
    return new DifferenceInterval(
        difference, sorted[(int) (TAIL * known)], sorted[(int) Math.ceil((1 - TAIL) * known) - 1]);
  }

  private static double difference(List<double[]> first, List<double[]> second, int[] sessions) {
    return mean(first, sessions) - mean(second, sessions);
  }

  private static double mean(List<double[]> of, int[] sessions) {
    double sum = 0;
    int count = 0;
    for (int session : sessions) {
      for (double one : of.get(session)) {
        sum += one;
        count++;
      }
    }
    return sum / count;
  }
}
