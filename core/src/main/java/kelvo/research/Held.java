package kelvo.research;

import java.util.Arrays;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;

/** Until when a case is held. */
public enum Held {
  FIVE_MINUTES("5 min", 5, 1),
  QUARTER_HOUR("15 min", 15, 1),
  HALF_HOUR("30 min", 30, 1),
  HOUR("60 min", 60, 1),
  CLOSE("close", 0, 1),
  NEXT_OPEN("next open", 0, 2),
  NEXT_CLOSE("next close", 0, 2),
  DAY_THREE("day 3 close", 0, 3),
  DAY_FIVE("day 5 close", 0, 5);

  private final String words;
  private final int minutes;
  private final int day;

  Held(String words, int minutes, int day) {
    this.words = words;
    this.minutes = minutes;
    this.day = day;
  }

  /** The words on screen and in tables. */
  public String words() {
    return words;
  }

  /** After "until" in a sentence. */
  public String phrase() {
    if (minutes > 0) {
      return words + " later";
    }
    return day > 2 ? "the close of day " + day : "the " + words;
  }

  /** Minutes after the entry; 0 when it is a close or an open. */
  int minutes() {
    return minutes;
  }

  /** Whether it ends in the case's own session. */
  public boolean isWithinSession() {
    return day == 1;
  }

  /** This one, or the close where it ends in a later session. */
  public Held withinSession() {
    return isWithinSession() ? this : CLOSE;
  }

  /**
   * When it ends in the case's own session.
   *
   * @param entered when one got in, {@link DayTime}
   * @param close when regular hours end
   */
  public long end(long entered, long close) {
    return minutes > 0 ? entered + minutes * DayTime.MINUTE : close;
  }

  /** Of which session, counted from the case's own, which is the first. */
  int day() {
    return day;
  }

  /**
   * The one of these words.
   *
   * @throws RefusedException when there is none
   */
  public static Held of(String words) {
    for (Held held : values()) {
      if (held.words.equals(words)) {
        return held;
      }
    }
    throw new RefusedException(
        "expected one of "
            + String.join(", ", Arrays.stream(values()).map(Held::words).toList())
            + ", found "
            + words);
  }
}
