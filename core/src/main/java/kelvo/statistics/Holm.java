package kelvo.statistics;

import java.util.Comparator;
import java.util.stream.IntStream;

/**
 * Corrects the p values of tests that are looked at together, so that chance finds one among them
 * as seldom as one alone: the step-down method of S. Holm, Scandinavian Journal of Statistics 6
 * (1979).
 */
public final class Holm {
  private Holm() {}

  /** The corrected values, each in its place; at most 1. */
  public static double[] corrected(double[] p) {
    int[] byValue =
        IntStream.range(0, p.length)
            .boxed()
            .sorted(Comparator.comparingDouble(i -> p[i]))
            .mapToInt(i -> i)
            .toArray();
    double[] corrected = new double[p.length];
    double reached = 0;
    for (int rank = 0; rank < p.length; rank++) {
      reached = Math.max(reached, Math.min(1, (p.length - rank) * p[byValue[rank]]));
      corrected[byValue[rank]] = reached;
    }
    return corrected;
  }
}
