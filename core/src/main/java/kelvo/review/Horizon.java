package kelvo.review;

import kelvo.time.DayTime;

/** How far an outcome looks ahead of a hit or a decision. */
public enum Horizon {
  FIVE_MINUTES("5 min", 5),
  QUARTER_HOUR("15 min", 15),
  HALF_HOUR("30 min", 30),
  HOUR("60 min", 60),
  TO_CLOSE("the close", 0);

  private final String words;
  private final int minutes;

  Horizon(String words, int minutes) {
    this.words = words;
    this.minutes = minutes;
  }

  /** The words on screen, after "in" or "to". */
  public String words() {
    return words;
  }

  /**
   * When an outcome over it is decided: the close ends those that begin in regular hours or before.
   *
   * @param start {@link DayTime}
   * @param close likewise
   */
  long end(long start, long close) {
    if (this == TO_CLOSE) {
      return close;
    }
    long end = start + minutes * DayTime.MINUTE;
    return start < close ? Math.min(end, close) : end;
  }
}
