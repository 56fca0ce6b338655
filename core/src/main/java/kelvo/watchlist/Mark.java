package kelvo.watchlist;

import java.util.Locale;
import kelvo.refusal.RefusedException;

/** A sign that a trader puts beside a symbol; told apart by its shape. */
public enum Mark {
  NONE(""),
  CIRCLE("●"),
  SQUARE("■"),
  TRIANGLE("▲"),
  DIAMOND("◆"),
  STAR("★"),
  CROSS("✚");

  private final String shape;

  Mark(String shape) {
    this.shape = shape;
  }

  /** The sign itself. */
  public String shape() {
    return shape;
  }

  /** How it is called in files. */
  public String words() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The next one, with none after the last. */
  public Mark next() {
    return values()[(ordinal() + 1) % values().length];
  }

  /**
   * The mark of a word; an empty one is none.
   *
   * @throws RefusedException when there is no such mark
   */
  public static Mark of(String words) {
    for (Mark mark : values()) {
      if (mark.words().equals(words) || (mark == NONE && words.isEmpty())) {
        return mark;
      }
    }
    throw new RefusedException(
        "expected circle, square, triangle, diamond, star or cross, found \"" + words + "\"");
  }
}
