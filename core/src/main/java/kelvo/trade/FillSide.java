package kelvo.trade;

import java.util.Locale;

/** What an execution did. */
public enum FillSide {
  BUY(1),
  SELL(-1),
  SHORT(-1),
  COVER(1);

  private final int sign;

  FillSide(int sign) {
    this.sign = sign;
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
   * @throws IllegalArgumentException when there is none of that name
   */
  public static FillSide of(String word) {
    for (FillSide side : values()) {
      if (side.word().equals(word.toLowerCase(Locale.ROOT))) {
        return side;
      }
    }
    throw new IllegalArgumentException(
        "expected buy, sell, short or cover, found \"" + word + "\"");
  }
}
