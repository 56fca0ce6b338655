package kelvo.state;

/** What one event did to a security's state, as bits: what triggers listen to. */
public final class Effect {
  public static final int DAY_HIGH = 1;
  public static final int DAY_LOW = 1 << 1;
  public static final int PREMARKET_HIGH = 1 << 2;
  public static final int PREMARKET_LOW = 1 << 3;
  public static final int SESSION_HIGH = 1 << 4;
  public static final int SESSION_LOW = 1 << 5;
  public static final int ROSE_THROUGH_VWAP = 1 << 6;
  public static final int FELL_THROUGH_VWAP = 1 << 7;
  public static final int HALTED = 1 << 8;
  public static final int RESUMED = 1 << 9;
  public static final int NEWS = 1 << 10;

  /**
   * The price that rules and levels go by is another. Listened to by level watches, never by
   * triggers.
   */
  public static final int PRICE = 1 << 11;

  /** A quote of a security that has traded: it changes the spread and nothing else. */
  public static final int QUOTE = 1 << 12;

  /** Earlier prints were cancelled or corrected: any value may be another, nothing new happened. */
  public static final int CORRECTED = 1 << 13;

  /** A print that adds to the volume. */
  public static final int PRINT = 1 << 14;

  /** A print that can set a high or low. */
  public static final int EXTREME = 1 << 15;

  /** An auction imbalance. */
  public static final int IMBALANCE = 1 << 16;

  /** How many people talk of it. */
  public static final int MENTION = 1 << 17;

  /** The open is known for the first time, or the official one is another than the first print. */
  public static final int OPENED = 1 << 18;

  /** An eligible print: it sets the price, to another or to the same. */
  public static final int ELIGIBLE = 1 << 19;

  private Effect() {}
}
