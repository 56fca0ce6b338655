package kelvo.news;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** The words that stand in many headlines at once: what the day is about. */
public final class HeadlineWords {
  private static final int SHORTEST = 4;
  private static final int MIN_HEADLINES = 3;
  private static final Set<String> EMPTY =
      Set.of(
          "with", "from", "that", "this", "will", "than", "over", "into", "after", "before",
          "their", "names", "says", "said", "more", "about", "first", "year", "years", "quarter",
          "shares", "stock", "company", "report", "reports", "results", "line", "plan");

  private HeadlineWords() {}

  /** A word and the number of headlines that it stands in. */
  public record Count(String word, int headlines) {}

  /** The words of at least three of the items, the most frequent first. */
  public static List<Count> of(List<Catalyst> items, int most) {
    Map<String, Integer> counts = new HashMap<>();
    for (Catalyst item : items) {
      Set<String> words = new HashSet<>();
      for (String word : item.headline().toLowerCase(Locale.ROOT).split("[^\\p{L}]+")) {
        if (word.length() >= SHORTEST && !EMPTY.contains(word) && words.add(word)) {
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
