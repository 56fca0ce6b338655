package kelvo.alert;

import java.util.ArrayList;
import java.util.List;

/**
 * How strong a hit is among today's: the mean of its ranks by range ratio, volume burst and dollars
 * of five minutes, each from 0 to 1; of what is known.
 */
final class StrengthRanks {
  private final List<Double> ranges = new ArrayList<>();
  private final List<Double> bursts = new ArrayList<>();
  private final List<Double> dollars = new ArrayList<>();

  /** The strength of a hit, which counts among today's from now on. */
  double of(AlertEvent event) {
    double sum = 0;
    int known = 0;
    for (Ranked each :
        List.of(
            new Ranked(ranges, event.rangeRatio()),
            new Ranked(bursts, event.volumeBurst()),
            new Ranked(dollars, event.dollars()))) {
      if (!Double.isNaN(each.value)) {
        sum += each.rank();
        known++;
      }
    }
    return known == 0 ? 0 : sum / known;
  }

  private record Ranked(List<Double> others, double value) {
    /** The share of the others that are below it. */
    double rank() {
      int from = 0;
      int to = others.size();
      while (from < to) {
        int middle = (from + to) >>> 1;
        if (others.get(middle) < value) {
          from = middle + 1;
        } else {
          to = middle;
        }
      }
      double rank = others.isEmpty() ? 0.5 : from / (double) others.size();
      others.add(from, value);
      return rank;
    }
  }
}
