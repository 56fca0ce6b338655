package kelvo.research;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Cases as a list for people.
 *
 * @param cases in the order of the list
 * @param name which of all cases they are, such as "weekday Friday"; empty for all of them
 */
public record ListedCases(List<ResearchCase> cases, String name) {
  public ListedCases {
    cases = List.copyOf(cases);
  }

  /** A list of cases that begins with the last one, which is the newest or the best. */
  public static ListedCases of(List<ResearchCase> cases, String name) {
    return new ListedCases(new ArrayList<>(cases).reversed(), name);
  }

  /** How many they are, and what is to be known of those that are marked. */
  public String words() {
    long gone = cases.stream().filter(ResearchCase::gone).count();
    boolean assumed = cases.stream().anyMatch(ResearchCase::spreadAssumed);
    return cases.size()
        + (cases.size() == 1 ? " case" : " cases")
        + (name.isEmpty() ? "" : ": " + name)
        + (gone == 0 ? "" : "; † " + gone + " gone since, the last price stands")
        + (assumed
            ? "; * no quote told the spread, the usual one of that hour or a tick stands for it"
            : "");
  }

  /**
   * The case that won or lost most by then; empty when no result is known.
   *
   * @param way 1 for the best, -1 for the worst
   */
  public Optional<ResearchCase> extreme(Held until, int way) {
    return cases.stream()
        .filter(one -> !Double.isNaN(one.result(until)))
        .max(Comparator.comparingDouble(one -> way * one.result(until)));
  }
}
