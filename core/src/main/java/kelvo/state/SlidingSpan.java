package kelvo.state;

import kelvo.time.DayTime;

/** The lengths of the sliding windows that are kept for every security. */
public enum SlidingSpan {
  ONE_MINUTE("1m", DayTime.MINUTE),
  FIVE_MINUTES("5m", 5 * DayTime.MINUTE);

  private final String words;
  private final long nanos;

  SlidingSpan(String words, long nanos) {
    this.words = words;
    this.nanos = nanos;
  }

  /** The length as field names write it. */
  public String words() {
    return words;
  }

  /** The length in nanoseconds. */
  public long nanos() {
    return nanos;
  }
}
