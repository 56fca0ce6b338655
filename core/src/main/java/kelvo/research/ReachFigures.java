package kelvo.research;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import kelvo.time.DayTime;

/**
 * How soon cases were so far ahead or behind.
 *
 * @param reach how far
 * @param cases by what came first, in the order of the cases
 * @param toGain the median time to being ahead of those that ever were, nanoseconds; NaN when none
 *     was
 * @param toLoss likewise behind
 */
public record ReachFigures(
    Reach reach, Map<TimeTo.First, List<ResearchCase>> cases, double toGain, double toLoss) {
  public ReachFigures {
    cases = Map.copyOf(cases);
  }

  /** Of cases. */
  public static ReachFigures of(List<ResearchCase> all, Reach reach) {
    Map<TimeTo.First, List<ResearchCase>> cases = new EnumMap<>(TimeTo.First.class);
    for (TimeTo.First first : TimeTo.First.values()) {
      cases.put(first, all.stream().filter(one -> one.timeTo(reach).first() == first).toList());
    }
    return new ReachFigures(
        reach,
        cases,
        median(all.stream().mapToLong(one -> one.timeTo(reach).gain()).toArray()),
        median(all.stream().mapToLong(one -> one.timeTo(reach).loss()).toArray()));
  }

  private static double median(long[] times) {
    double[] known =
        Arrays.stream(times)
            .filter(time -> time != TimeTo.NEVER)
            .asDoubleStream()
            .sorted()
            .toArray();
    return known.length == 0 ? Double.NaN : ResultFigures.quantile(known, 0.5);
  }

  /** What came first, in words such as "+5% first". */
  public String name(TimeTo.First first) {
    return switch (first) {
      case GAIN -> "+" + reach.words() + " first";
      case LOSS -> "-" + reach.words() + " first";
      case TOGETHER -> "both in one minute";
      case NEITHER -> "neither";
    };
  }

  /** How often and how soon, in words such as "85, after 12 min". */
  public String words(TimeTo.First first) {
    return of(first).size()
        + switch (first) {
          case GAIN -> median(toGain);
          case LOSS -> median(toLoss);
          case TOGETHER, NEITHER -> "";
        };
  }

  private static String median(double time) {
    if (Double.isNaN(time)) {
      return "";
    }
    long minutes = Math.round(time / DayTime.MINUTE);
    return ", after " + (minutes == 0 ? "under a minute" : minutes + " min");
  }

  /** The cases of which this came first. */
  public List<ResearchCase> of(TimeTo.First first) {
    return cases.getOrDefault(first, List.of());
  }
}
