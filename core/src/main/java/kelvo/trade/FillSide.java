package kelvo.trade;

import java.util.Locale;
import kelvo.refusal.RefusedException;

/** What an execution did. */
public enum FillSide {
  BUY(1, true),
  SELL(-1, false),
  SHORT(-1, true),
  COVER(1, false);

  private final int sign;
  private final boolean opens;

  FillSide(int sign, boolean opens) {
    this.sign = sign;
    this.opens = opens;
  }

  /** Whether it can begin a position; the others only end one. */
  boolean opens() {
    return opens;
  }

  /** 1 when shares come in, -1 when they go out. */
  public int sign() {
    return sign;
  }

  /** The word in fills files. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * The side of a word.
   *
   * @throws RefusedException when there is none of that name
   */
  public static FillSide of(String word) {
    for (FillSide side : values()) {
      if (side.word().equals(word.toLowerCase(Locale.ROOT))) {
        return side;
      }
    }
    throw new RefusedException("expected buy, sell, short or cover, found \"" + word + "\"");
  }
}
