package kelvo.sim;

import java.util.SplittableRandom;

/** Random numbers of the kinds that inventions need. */
final class Draws {
  private static final double OFTEN = 40;

  private Draws() {}

  /** How often something happens that happens so often on average. */
  static int poisson(SplittableRandom random, double mean) {
    if (mean > OFTEN) {
      return (int) Math.max(0, Math.round(mean + Math.sqrt(mean) * random.nextGaussian()));
    }
    double limit = Math.exp(-mean);
    int k = 0;
    for (double p = random.nextDouble(); p > limit; p *= random.nextDouble()) {
      k++;
    }
    return k;
  }
}
