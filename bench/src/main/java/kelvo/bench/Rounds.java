package kelvo.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * A ratio measured round by round. Where its median lies is told by order statistics: between the
 * second value from either end with a probability of 93 % for eight rounds, and more for more.
 */
final class Rounds {
  private static final int MIN = 3;
  private static final int ENDS_LEFT_OUT_FROM = 8;

  private final List<Double> ratios = new ArrayList<>();

  void add(double ratio) {
    ratios.add(ratio);
    Collections.sort(ratios);
  }

  int count() {
    return ratios.size();
  }

  double median() {
    int middle = ratios.size() / 2;
    return ratios.size() % 2 == 1
        ? ratios.get(middle)
        : (ratios.get(middle - 1) + ratios.get(middle)) / 2;
  }

  /** The lower end of where the median lies. */
  double low() {
    return ratios.get(leftOut());
  }

  /** The upper end. */
  double high() {
    return ratios.get(ratios.size() - 1 - leftOut());
  }

  private int leftOut() {
    return ratios.size() >= ENDS_LEFT_OUT_FROM ? 1 : 0;
  }

  /** Whether more rounds would hardly change on which side of a bound the median lies. */
  boolean decides(double bound) {
    return count() >= MIN && (low() > bound || high() < bound);
  }
}
