package kelvo.review;

import java.util.Locale;

/** What became of a move. */
public enum MoveVerdict {
  TAKEN("a trade on it that was not late"),
  LATE("only late trades on it"),
  DROPPED("its symbol had been dropped by hand"),
  PASSED("it was looked at and not traded"),
  MISSED("it was never looked at");

  private final String meaning;

  MoveVerdict(String meaning) {
    this.meaning = meaning;
  }

  /** The word on screen. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What it means, in a few words. */
  public String meaning() {
    return meaning;
  }
}
