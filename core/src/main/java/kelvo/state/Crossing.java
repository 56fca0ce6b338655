package kelvo.state;

import kelvo.time.DayTime;

/**
 * How a price has stood to a line so far, as one number, so that it can lie beside whatever else is
 * kept about a security. What it keeps is the side that was told last. A price on the other side is
 * told at once, but for a bounce between bid and ask: after it has fired it is disarmed until a
 * price is 0.1% away from the line, on whichever side, or a minute has passed.
 */
public final class Crossing {
  /** Nothing is known of the price yet. */
  public static final long UNKNOWN = 0;

  /** Nothing passed. */
  public static final int NONE = 0;

  /** The price rose through the line. */
  public static final int ROSE = 1;

  /** The price fell through the line. */
  public static final int FELL = -1;

  private static final long REARM_AFTER = DayTime.MINUTE;
  private static final long REARM_PART = 1000;

  // Two bits each for the side told last and for what the last price did, 1 up and 2 down; one bit
  // while disarmed; then when it fired.
  private static final int WAY_BITS = 2;
  private static final long WAY = (1 << WAY_BITS) - 1;
  private static final long DISARMED = 1L << (2 * WAY_BITS);
  private static final int FIRED_AT_SHIFT = 2 * WAY_BITS + 1;

  private Crossing() {}

  /**
   * The crossing after the next price; {@link #way} tells what that price did.
   *
   * @param price dollars times any scale
   * @param line the line at the same scale
   */
  public static long next(long crossing, long price, long line, long now) {
    int newSide = Long.compare(price, line);
    if (newSide == 0) {
      return crossing & ~WAY;
    }
    int told = direction(crossing >>> WAY_BITS);
    long firedAt = crossing >> FIRED_AT_SHIFT;
    boolean disarmed =
        (crossing & DISARMED) != 0
            && now - firedAt < REARM_AFTER
            && Math.abs(price - line) < line / REARM_PART;
    if (told != 0 && newSide != told && !disarmed) {
      return now << FIRED_AT_SHIFT | DISARMED | code(newSide) << WAY_BITS | code(newSide);
    }
    int side = told == 0 ? newSide : told;
    return firedAt << FIRED_AT_SHIFT | (disarmed ? DISARMED : 0) | code(side) << WAY_BITS;
  }

  /** What the last price did: {@link #ROSE}, {@link #FELL} or {@link #NONE}. */
  public static int way(long crossing) {
    return direction(crossing);
  }

  /** Whether a price can neither fire nor change anything but what the last price did. */
  static boolean staysAt(long crossing, long price, long line) {
    return (crossing & DISARMED) == 0
        && direction(crossing >>> WAY_BITS) == Long.compare(price, line);
  }

  /**
   * The side that was told last, 1 above and -1 below, while a price there or on the line has no
   * effect whatever; 0 while none is known, or while it is disarmed.
   */
  public static int armedSide(long crossing) {
    return (crossing & DISARMED) != 0 ? 0 : direction(crossing >>> WAY_BITS);
  }

  /**
   * How far a price may be from the line, on either side, without any effect on a crossing that has
   * fired so shortly before that it is disarmed; 0 while it is not. Prices less than that away from
   * the line leave it as it is until {@link #disarmedUntil}.
   */
  public static long disarmedWithin(long crossing, long line, long now) {
    return (crossing & DISARMED) != 0 && now < disarmedUntil(crossing) ? line / REARM_PART : 0;
  }

  /** When a crossing that has fired is armed again, whatever the price. */
  public static long disarmedUntil(long crossing) {
    return (crossing >> FIRED_AT_SHIFT) + REARM_AFTER;
  }

  /** Learns the side from the price before, when no side is known yet. */
  public static long primed(long crossing, long priceBefore, long line) {
    return direction(crossing >>> WAY_BITS) == 0
        ? crossing | code(Long.compare(priceBefore, line)) << WAY_BITS
        : crossing;
  }

  private static int direction(long bits) {
    int way = (int) (bits & WAY);
    return (way & 1) - (way >>> 1);
  }

  private static long code(int direction) {
    return direction < 0 ? 2 : direction;
  }
}
