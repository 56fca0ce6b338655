package kelvo.news;

import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** The words that stand in many headlines at once: what the day is about. */
public final class HeadlineWords {
  private static final int SHORTEST = 4;
  private static final int MIN_HEADLINES = 3;
  private static final int COMMON = 20;
  private static final Set<String> EMPTY =
      Set.of(
          "with",
          "from",
          "that",
          "this",
          "will",
          "than",
          "over",
          "into",
          "after",
          "before",
          "their",
          "names",
          "says",
          "said",
          "more",
          "about",
          "first",
          "year",
          "years",
          "quarter",
          "shares",
          "stock",
          "company",
          "report",
          "reports",
          "results",
          "line",
          "plan",
          "head",
          "extends",
          "opens",
          "publishes",
          "signs",
          "begins",
          "begin",
          "leads",
          "speak",
          "second",
          "today",
          "monthly",
          "yearly",
          "annual",
          "lease",
          "northern",
          "southern",
          "eastern",
          "western",
          "yard",
          "supply",
          "workshop",
          "safety");

  private HeadlineWords() {}

  /** A word and the number of headlines that it stands in. */
  public record Count(String word, int headlines) {}

  /**
   * Words that say nothing since a twentieth of all companies have them in their names, such as
   * "industries" or "holdings".
   */
  public static Set<String> commonInNames(Collection<String> names) {
    Map<String, Integer> counts = new HashMap<>();
    names.forEach(name -> Set.of(words(name)).forEach(word -> counts.merge(word, 1, Integer::sum)));
    return counts.entrySet().stream()
        .filter(e -> e.getValue() * COMMON > names.size())
        .map(Map.Entry::getKey)
        .collect(Collectors.toSet());
  }

  private static String[] words(String text) {
    return Arrays.stream(text.toLowerCase(Locale.ROOT).split("[^\\p{L}]+"))
        .filter(word -> word.length() >= SHORTEST)
        .distinct()
        .toArray(String[]::new);
  }

  /**
   * The words of at least three of the items, the most frequent first.
   *
   * @param common words of company names that are left out
   */
  public static List<Count> of(List<Catalyst> items, Set<String> common, int most) {
    Map<String, Integer> counts = new HashMap<>();
    for (Catalyst item : items) {
      for (String word : words(item.headline())) {
        if (!EMPTY.contains(word) && !common.contains(word)) {
          counts.merge(word, 1, Integer::sum);
        }
      }
    }
    return counts.entrySet().stream()
        .filter(e -> e.getValue() >= MIN_HEADLINES)
        .map(e -> new Count(e.getKey(), e.getValue()))
        .sorted(Comparator.comparingInt(Count::headlines).reversed().thenComparing(Count::word))
        .limit(most)
        .toList();
  }
}
