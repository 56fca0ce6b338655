package kelvo.alert;

import kelvo.time.DayTime;

/**
 * How often things may ring.
 *
 * @param cooldown how long a symbol's alert is silent after its first ring, nanoseconds; each
 *     repeat doubles it
 * @param longest the longest that it becomes
 * @param aMinute how many rings of one scan a minute
 * @param aPhase how many a phase
 */
public record AlertLimits(long cooldown, long longest, int aMinute, int aPhase) {
  /** What Kelvo starts with. */
  public static final AlertLimits DEFAULT =
      new AlertLimits(DayTime.MINUTE, 15 * DayTime.MINUTE, 6, 40);
}
