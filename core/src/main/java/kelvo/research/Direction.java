package kelvo.research;

import java.util.Arrays;
import kelvo.refusal.RefusedException;

/** Which way one enters in a question. */
public enum Direction {
  LONG(1, "long", "buys"),
  SHORT(-1, "short", "sells short");

  private final int sign;
  private final String word;
  private final String phrase;

  Direction(int sign, String word, String phrase) {
    this.sign = sign;
    this.word = word;
    this.phrase = phrase;
  }

  /** 1 when a rising price gains, -1 when a falling one does. */
  public int sign() {
    return sign;
  }

  /** The word in files and commands. */
  public String word() {
    return word;
  }

  /** What one does, as it stands in a sentence behind "one". */
  public String phrase() {
    return phrase;
  }

  /**
   * The direction of a word.
   *
   * @throws RefusedException when there is none of that name
   */
  public static Direction of(String word) {
    return Arrays.stream(values())
        .filter(direction -> direction.word.equals(word))
        .findFirst()
        .orElseThrow(() -> new RefusedException("expected long or short, found \"" + word + "\""));
  }
}
