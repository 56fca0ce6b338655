package kelvo.scan;

import java.util.Locale;
import kelvo.refusal.RefusedException;

/** Which way a scan, a move or a trade looks. */
public enum Side {
  UP(1),
  DOWN(-1),
  BOTH(0);

  private final int direction;

  Side(int direction) {
    this.direction = direction;
  }

  /** 1 for up, -1 for down, 0 for both. */
  public int direction() {
    return direction;
  }

  /** The word in files and on screen. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The side of a direction: below zero is down, all else up. */
  public static Side of(double direction) {
    return direction < 0 ? DOWN : UP;
  }

  /**
   * The side of a word.
   *
   * @throws RefusedException when there is none of that name
   */
  public static Side of(String word) {
    for (Side side : values()) {
      if (side.word().equals(word)) {
        return side;
      }
    }
    throw new RefusedException("expected up, down or both, found \"" + word + "\"");
  }
}
