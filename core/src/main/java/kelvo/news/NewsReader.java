package kelvo.news;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Reads what an item is about, its tone and its weight from its words: phrases of {@link
 * CategoryWords} and {@link ToneWords}, twice as strong in the headline as in the body's beginning.
 */
final class NewsReader {
  private static final int BODY_WORDS = 60;
  private static final double IN_HEADLINE = 2;

  /** From here on no good word makes such an item good. */
  private static final double BAD_IN_ITSELF = -0.5;

  /** A body alone decides nothing unless it says so more than once. */
  private static final double MIN = 2;

  private NewsReader() {}

  /** The reading of an item. */
  static NewsReading read(String headline, String body) {
    String[] head = words(headline, Integer.MAX_VALUE);
    String[] text = words(body, BODY_WORDS);
    NewsCategory category = NewsCategory.OTHER;
    double best = MIN - 1;
    List<String> deciding = List.of();
    for (Map.Entry<NewsCategory, WordList> entry : CategoryWords.LISTS.entrySet()) {
      List<WordList.Found> inHead = entry.getValue().in(head);
      List<WordList.Found> inText = entry.getValue().in(text);
      double score = IN_HEADLINE * sum(inHead) + sum(inText);
      if (score > best) {
        best = score;
        category = entry.getKey();
        deciding = phrases(inHead, inText);
      }
    }
    return toned(category, deciding, head, text);
  }

  private static NewsReading toned(
      NewsCategory category, List<String> deciding, String[] head, String[] text) {
    boolean always = category.usualTone() <= BAD_IN_ITSELF;
    List<WordList.Found> good = always ? List.of() : ToneWords.GOOD.in(head);
    List<WordList.Found> bad = ToneWords.BAD.in(head);
    double score =
        IN_HEADLINE * (sum(good) - sum(bad))
            + 0.5 * (sum(ToneWords.GOOD.in(text)) - sum(ToneWords.BAD.in(text)));
    double tone = score / (3 + Math.abs(score)) + category.usualTone();
    NewsCategory.Weight weight = category.usualWeight();
    if (!ToneWords.HEAVY.in(head).isEmpty()) {
      weight = weight.up();
    }
    if (!ToneWords.LIGHT.in(head).isEmpty()) {
      weight = weight.down();
    }
    List<String> all = new ArrayList<>(deciding);
    phrases(good, bad).stream().filter(p -> !all.contains(p)).forEach(all::add);
    return new NewsReading(
        category, Math.clamp(Math.round(tone * 100) / 100.0, -1, 1), weight, all);
  }

  private static double sum(List<WordList.Found> found) {
    return found.stream().mapToDouble(WordList.Found::strength).sum();
  }

  private static List<String> phrases(List<WordList.Found> some, List<WordList.Found> others) {
    List<String> phrases = new ArrayList<>();
    some.forEach(f -> phrases.add(f.phrase()));
    others.stream()
        .map(WordList.Found::phrase)
        .filter(p -> !phrases.contains(p))
        .forEach(phrases::add);
    return phrases;
  }

  /** The words of a text in lower case, hyphens between letters read as spaces. */
  private static String[] words(String text, int most) {
    List<String> words = new ArrayList<>();
    for (String word : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}$%.']+")) {
      String bare = word.replaceAll("^[$'.]+|[.']+$", "");
      if (!bare.isEmpty() && words.size() < most) {
        words.add(bare);
      }
    }
    return words.toArray(String[]::new);
  }
}
