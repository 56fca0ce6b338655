package kelvo.trade;

import java.util.Locale;
import kelvo.scan.Side;

/** Whether a trade gains when the price rises or when it falls. */
public enum TradeSide {
  LONG(Side.UP),
  SHORT(Side.DOWN);

  private final Side side;

  TradeSide(Side side) {
    this.side = side;
  }

  /** Which way the price must go for it to gain: the side of the moves that it can be on. */
  public Side way() {
    return side;
  }

  /** 1 when it gains as the price rises, -1 when it gains as it falls. */
  public int direction() {
    return side.direction();
  }

  /** The word in files. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
