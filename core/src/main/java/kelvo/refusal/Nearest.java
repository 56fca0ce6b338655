package kelvo.refusal;

import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * The known phrases that somebody probably meant. Phrases are compared word by word, by the edits
 * that make one word of the other; numbers count as equal.
 */
public final class Nearest {
  private static final int MOST = 3;

  /** A longer text was never meant as one of the phrases. */
  private static final int LONGEST = 80;

  private static final double LIKE_ENOUGH = 0.6;

  private Nearest() {}

  private record Likeness(String phrase, double share) {}

  /** At most three of the known phrases, the likeliest first; empty when nothing is similar. */
  public static List<String> to(String typed, Collection<String> known) {
    if (typed.length() > LONGEST) {
      return List.of();
    }
    String[] words = words(typed);
    return known.stream()
        .map(phrase -> new Likeness(phrase, likeness(words, words(phrase))))
        .filter(one -> one.share() >= LIKE_ENOUGH)
        .sorted(Comparator.comparingDouble(Likeness::share).reversed())
        .limit(MOST)
        .map(Likeness::phrase)
        .toList();
  }

  /** The end of a sentence that refuses: "; did you mean a or b?", or nothing. */
  public static String asQuestion(String typed, Collection<String> known) {
    List<String> near = to(typed, known);
    return near.isEmpty() ? "" : "; did you mean " + String.join(" or ", near) + "?";
  }

  private static String[] words(String phrase) {
    return phrase
        .strip()
        .toLowerCase(Locale.ROOT)
        .replaceAll("[0-9]+([.,][0-9]+)*", "0")
        .split(" +");
  }

  /** The mean over the words of both of how like the likeliest word of the other is. */
  private static double likeness(String[] typed, String[] phrase) {
    double sum = sumOfBest(typed, phrase) + sumOfBest(phrase, typed);
    return sum / (typed.length + phrase.length);
  }

  private static double sumOfBest(String[] of, String[] among) {
    return Arrays.stream(of)
        .mapToDouble(
            word ->
                Arrays.stream(among).mapToDouble(other -> likeness(word, other)).max().orElse(0))
        .sum();
  }

  private static double likeness(String word, String other) {
    int longer = Math.max(word.length(), other.length());
    return longer == 0 ? 1 : 1 - (double) edits(word, other) / longer;
  }

  /** Letters to insert, leave out, replace or swap with the next (optimal string alignment). */
  private static int edits(String a, String b) {
    int[][] cost = new int[a.length() + 1][b.length() + 1];
    for (int i = 0; i <= a.length(); i++) {
      for (int j = 0; j <= b.length(); j++) {
        cost[i][j] = i == 0 || j == 0 ? i + j : fewest(cost, a, b, i, j);
      }
    }
    return cost[a.length()][b.length()];
  }

  private static int fewest(int[][] cost, String a, String b, int i, int j) {
    boolean same = a.charAt(i - 1) == b.charAt(j - 1);
    int fewest = Math.min(cost[i - 1][j], cost[i][j - 1]) + 1;
    fewest = Math.min(fewest, cost[i - 1][j - 1] + (same ? 0 : 1));
    boolean swapped =
        i > 1 && j > 1 && a.charAt(i - 1) == b.charAt(j - 2) && a.charAt(i - 2) == b.charAt(j - 1);
    return swapped ? Math.min(fewest, cost[i - 2][j - 2] + 1) : fewest;
  }
}
