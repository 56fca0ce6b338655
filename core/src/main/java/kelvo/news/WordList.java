package kelvo.news;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Phrases with a strength each, read from lines such as {@code 3 reverse split}. A word ending in *
 * stands for every word that begins so; # stands for any number; ... for up to four words.
 */
final class WordList {
  private static final int GAP = 4;

  private final List<Entry> entries = new ArrayList<>();

  private record Entry(String phrase, Wanted[] words, double strength) {}

  /** What one word of a phrase must be. */
  private record Wanted(Kind kind, String text) {
    private enum Kind {
      WORD,
      BEGINNING,
      NUMBER,
      GAP
    }

    static Wanted of(String written) {
      if (written.equals("...")) {
        return new Wanted(Kind.GAP, "");
      }
      if (written.equals("#")) {
        return new Wanted(Kind.NUMBER, "");
      }
      return written.endsWith("*")
          ? new Wanted(Kind.BEGINNING, written.substring(0, written.length() - 1))
          : new Wanted(Kind.WORD, written);
    }

    boolean is(String word) {
      return switch (kind) {
        case WORD -> word.equals(text);
        case BEGINNING -> word.startsWith(text);
        case NUMBER -> Character.isDigit(word.charAt(0));
        case GAP -> false;
      };
    }
  }

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
              Wanted[] words =
                  Arrays.stream(parts[1].split(" ")).map(Wanted::of).toArray(Wanted[]::new);
              entries.add(new Entry(parts[1], words, Double.parseDouble(parts[0])));
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

  private static boolean standsAt(Wanted[] phrase, int from, String[] words, int at) {
    if (from == phrase.length) {
      return true;
    }
    if (phrase[from].kind == Wanted.Kind.GAP) {
      for (int skip = 0; skip <= GAP; skip++) {
        if (standsAt(phrase, from + 1, words, at + skip)) {
          return true;
        }
      }
      return false;
    }
    return at < words.length
        && phrase[from].is(words[at])
        && standsAt(phrase, from + 1, words, at + 1);
  }
}
