package kelvo.news;

import java.util.ArrayList;
import java.util.List;

/**
 * Phrases with a strength each, read from lines such as {@code 3 reverse split}. A word ending in *
 * stands for every word that begins so; # stands for any number; ... for up to four words.
 */
final class WordList {
  private static final int GAP = 4;

  private final List<Entry> entries = new ArrayList<>();

  private record Entry(String phrase, String[] words, double strength) {}

  /** A phrase that was found, with its strength. */
  record Found(String phrase, double strength) {}

  /** The list of a text block, a phrase a line. */
  WordList(String lines) {
    lines
        .lines()
        .filter(line -> !line.isBlank())
        .forEach(
            line -> {
              String[] parts = line.strip().split(" ", 2);
              entries.add(new Entry(parts[1], parts[1].split(" "), Double.parseDouble(parts[0])));
            });
  }

  /** The phrases that stand among the words, each once. */
  List<Found> in(String[] words) {
    List<Found> found = new ArrayList<>();
    for (Entry entry : entries) {
      int at = placeOf(entry, words);
      if (at >= 0) {
        found.add(new Found(entry.phrase, entry.strength));
      }
    }
    return found;
  }

  /** Where a phrase stands among the words; -1 when it does not. */
  private static int placeOf(Entry entry, String[] words) {
    for (int start = 0; start < words.length; start++) {
      if (standsAt(entry.words, 0, words, start)) {
        return start;
      }
    }
    return -1;
  }

  private static boolean standsAt(String[] phrase, int from, String[] words, int at) {
    if (from == phrase.length) {
      return true;
    }
    if (phrase[from].equals("...")) {
      for (int skip = 0; skip <= GAP; skip++) {
        if (standsAt(phrase, from + 1, words, at + skip)) {
          return true;
        }
      }
      return false;
    }
    return at < words.length
        && same(phrase[from], words[at])
        && standsAt(phrase, from + 1, words, at + 1);
  }

  private static boolean same(String wanted, String word) {
    if (wanted.equals("#")) {
      return Character.isDigit(word.charAt(0));
    }
    return wanted.endsWith("*")
        ? word.startsWith(wanted.substring(0, wanted.length() - 1))
        : word.equals(wanted);
  }
}
