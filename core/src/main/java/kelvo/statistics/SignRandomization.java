package kelvo.statistics;

import java.util.SplittableRandom;

/**
 * Whether a difference of means may be chance: the sign of what each session adds to it is drawn
 * anew, many times, which leaves the cases of one session together since they are not independent.
 * A randomization test under approximate symmetry with sessions as clusters (Canay, Romano and
 * Shaikh, Econometrica 85, 2017; from memory).
 */
public final class SignRandomization {
  private static final int DRAWS = 10_000;
  private static final long SEED = 20_310_312;

  /** Sums of fractions that should be equal may differ by so much. */
  private static final double ROUNDING = 1e-9;

  private SignRandomization() {}

  /**
   * The probability of a sum at least as far from 0 as this one, were each part as likely to be
   * above 0 as below it.
   *
   * @param parts what each session adds
   * @return from 1 / 10,001 to 1; 1 without any session. The same parts give the same.
   */
  public static double p(double[] parts) {
    double sum = 0;
    double size = 0;
    for (double part : parts) {
      sum += part;
      size += Math.abs(part);
    }
    double least = Math.abs(sum) - ROUNDING * size;
    SplittableRandom random = new SplittableRandom(SEED);
    int asFar = 0;
    for (int draw = 0; draw < DRAWS; draw++) {
      double drawn = 0;
      long signs = 0;
      for (int i = 0; i < parts.length; i++) {
        if (i % Long.SIZE == 0) {
          signs = random.nextLong();
        }
        drawn += (signs >>> i % Long.SIZE & 1) == 0 ? parts[i] : -parts[i];
      }
      asFar += Math.abs(drawn) >= least ? 1 : 0;
    }
    return (1.0 + asFar) / (1 + DRAWS);
  }
}
