package kelvo.trigger;

/**
 * The prices between which some detectors need not be asked about a security: no eligible print
 * there can make any of them fire, nor change what they remember. Each detector narrows it. Reused
 * from one security to the next, so that asking allocates nothing. Owned by one thread.
 */
public final class Rest {
  private long low;
  private long high;
  private long until;

  /** Rests at every price and for good, until a detector says otherwise. */
  public void begin() {
    low = Long.MIN_VALUE;
    high = Long.MAX_VALUE;
    until = Long.MAX_VALUE;
  }

  /** Only at prices from {@code least} to {@code most}, both included. */
  public void within(long least, long most) {
    low = Math.max(low, least);
    high = Math.min(high, most);
  }

  /** Only up to and including a moment. */
  public void until(long moment) {
    until = Math.min(until, moment);
  }

  /** Not at any price. */
  void never() {
    low = Long.MAX_VALUE;
    high = Long.MIN_VALUE;
  }

  /** The lowest price, {@link kelvo.tape.Price} units. */
  public long low() {
    return low;
  }

  /** The highest price. */
  public long high() {
    return high;
  }

  /** The last moment. */
  public long until() {
    return until;
  }
}
