package kelvo.data.folder;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The numbers of some thousand words, found by the characters where they lie: no string is made for
 * a word that is looked up. Immutable.
 */
final class WordIndex {
  /** No such word. */
  static final int NONE = -1;

  private static final int PRIME = 31;

  private final @Nullable String[] words;
  private final int[] numbers;

  WordIndex(Map<String, Integer> numbered) {
    int slots = Integer.highestOneBit(Math.max(1, numbered.size())) * 4;
    words = new @Nullable String[slots];
    numbers = new int[slots];
    numbered.forEach(this::put);
  }

  private void put(String word, int number) {
    char[] chars = word.toCharArray();
    int slot = slot(chars, 0, chars.length);
    while (words[slot] != null) {
      slot = slot + 1 & words.length - 1;
    }
    words[slot] = word;
    numbers[slot] = number;
  }

  private int slot(char[] chars, int start, int length) {
    int hash = 0;
    for (int i = start; i < start + length; i++) {
      hash = PRIME * hash + chars[i];
    }
    return (hash ^ hash >>> 15) & words.length - 1;
  }

  /** The number of the word in some characters; {@link #NONE} when it is none of these. */
  int numberOf(char[] chars, int start, int length) {
    int slot = slot(chars, start, length);
    for (String word = words[slot]; word != null; word = words[slot]) {
      if (TableRow.isWord(word, chars, start, length)) {
        return numbers[slot];
      }
      slot = slot + 1 & words.length - 1;
    }
    return NONE;
  }
}
