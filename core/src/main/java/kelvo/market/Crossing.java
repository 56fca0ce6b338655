package kelvo.market;

import kelvo.time.DayTime;

/**
 * Watches a price against a line and tells when it passes to the other side. After it has fired it
 * is disarmed until the price was 0.1% away from the line or a minute has passed, so that the
 * bounce between bid and ask does not count as passing again and again.
 */
public final class Crossing {
  /** Nothing passed. */
  public static final int NONE = 0;

  /** The price rose through the line. */
  public static final int ROSE = 1;

  /** The price fell through the line. */
  public static final int FELL = -1;

  private static final long REARM_AFTER = DayTime.MINUTE;
  private static final long REARM_PART = 1000;

  private int side;
  private boolean disarmed;
  private long firedAt;

  /**
   * Takes the next price.
   *
   * @param price dollars times any scale
   * @param line the line at the same scale
   * @return {@link #ROSE}, {@link #FELL} or {@link #NONE}
   */
  public int next(long price, long line, long now) {
    int newSide = Long.compare(price, line);
    if (newSide == 0) {
      return NONE;
    }
    if (disarmed && now - firedAt >= REARM_AFTER) {
      disarmed = false;
    }
    int passed = side != 0 && newSide != side && !disarmed ? newSide : NONE;
    if (passed != NONE) {
      disarmed = true;
      firedAt = now;
    } else if (disarmed && Math.abs(price - line) >= line / REARM_PART) {
      disarmed = false;
    }
    side = newSide;
    return passed;
  }

  /**
   * The side on which nothing can fire as long as the price stays there; 0 when it must be asked.
   */
  int steadySide() {
    return disarmed ? 0 : side;
  }

  /** Learns the side from the price before, when no side is known yet. */
  public void prime(long priceBefore, long line) {
    if (side == 0) {
      side = Long.compare(priceBefore, line);
    }
  }

  /** Forgets the side, for a line that begins anew. */
  public void reset() {
    side = 0;
    disarmed = false;
  }

  /** Makes this the same as another. */
  public void copyFrom(Crossing other) {
    side = other.side;
    disarmed = other.disarmed;
    firedAt = other.firedAt;
  }
}
