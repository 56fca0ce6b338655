package kelvo.research;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import kelvo.statistics.MeanInterval;
import kelvo.statistics.WilsonInterval;

/**
 * What the results of some cases at one horizon say together. Results are parts of the entry: 0.01
 * is 1%.
 *
 * @param cases whose result is known
 * @param sessions that have such a case
 * @param symbols likewise
 * @param won how many results are above 0
 * @param winRate the interval of their share
 * @param mean with the interval that chance leaves it, whole sessions drawn again
 * @param median NaN without cases, as the figures after it
 * @param lowerQuartile a quarter of the results lie below
 * @param upperQuartile a quarter lie above
 * @param oneInTwenty one in twenty lies below
 * @param worst the least result
 * @param profitFactor what was won over what was lost; NaN when nothing was lost
 * @param bestThree the share of all that was won which the best three cases won
 * @param largestFall the furthest that the running sum of the results, by time, fell from its high,
 *     0 or more
 */
public record ResultFigures(
    int cases,
    int sessions,
    int symbols,
    int won,
    WilsonInterval winRate,
    MeanInterval mean,
    double median,
    double lowerQuartile,
    double upperQuartile,
    double oneInTwenty,
    double worst,
    double profitFactor,
    double bestThree,
    double largestFall) {
  private static final int BEST = 3;

  /** The figures of cases, which come by time. */
  public static ResultFigures of(Collection<ResearchCase> all, Held until) {
    List<ResearchCase> known =
        all.stream().filter(one -> !Double.isNaN(one.result(until))).toList();
    double[] results = known.stream().mapToDouble(one -> one.result(until)).toArray();
    double[] sorted = results.clone();
    Arrays.sort(sorted);
    int n = sorted.length;
    int won = (int) Arrays.stream(sorted).filter(r -> r > 0).count();
    double gained = Arrays.stream(sorted).filter(r -> r > 0).sum();
    double lost = -Arrays.stream(sorted).filter(r -> r < 0).sum();
    double best = Arrays.stream(sorted, Math.max(0, n - BEST), n).filter(r -> r > 0).sum();
    SortedMap<LocalDate, double[]> bySession = bySession(known, until);
    return new ResultFigures(
        n,
        bySession.size(),
        (int) known.stream().map(ResearchCase::symbol).distinct().count(),
        won,
        WilsonInterval.of(won, n),
        MeanInterval.of(bySession.values()),
        quantile(sorted, 0.5),
        quantile(sorted, 0.25),
        quantile(sorted, 0.75),
        quantile(sorted, 0.05),
        n == 0 ? Double.NaN : sorted[0],
        lost == 0 ? Double.NaN : gained / lost,
        gained == 0 ? Double.NaN : best / gained,
        largestFall(results));
  }

  /** The share of the cases that won, per cent; NaN without any. */
  public double wonPercent() {
    return cases == 0 ? Double.NaN : 100.0 * won / cases;
  }

  private static SortedMap<LocalDate, double[]> bySession(List<ResearchCase> cases, Held until) {
    SortedMap<LocalDate, List<Double>> lists = new TreeMap<>();
    cases.forEach(
        one -> lists.computeIfAbsent(one.date(), d -> new ArrayList<>()).add(one.result(until)));
    SortedMap<LocalDate, double[]> arrays = new TreeMap<>();
    lists.forEach((date, list) -> arrays.put(date, list.stream().mapToDouble(r -> r).toArray()));
    return arrays;
  }

  /**
   * A quantile, straight between the two results around it: definition 7 of Hyndman and Fan, The
   * American Statistician 50 (1996), the usual one of R and of spreadsheets.
   */
  static double quantile(double[] sorted, double part) {
    if (sorted.length == 0) {
      return Double.NaN;
    }
    double place = part * (sorted.length - 1);
    int below = (int) place;
    int above = Math.min(below + 1, sorted.length - 1);
    return sorted[below] + (place - below) * (sorted[above] - sorted[below]);
  }

  private static double largestFall(double[] results) {
    double sum = 0;
    double high = 0;
    double fall = 0;
    for (double result : results) {
      sum += result;
      high = Math.max(high, sum);
      fall = Math.max(fall, high - sum);
    }
    return fall;
  }
}
