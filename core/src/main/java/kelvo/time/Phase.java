package kelvo.time;

import kelvo.refusal.RefusedException;

/**
 * A named part of the trading day.
 *
 * @param name the word used in rules and on the day rail
 * @param start first moment, {@link DayTime}
 * @param end first moment after it; the start where an early close leaves nothing of it
 */
public record Phase(String name, long start, long end) {
  public Phase {
    if (start > end) {
      throw new RefusedException("phase " + name + " ends before it starts");
    }
  }
}
