package kelvo.chart;

import kelvo.time.SessionHours;

/**
 * Sessions in a row as one scale of time, in which a line through daily bars is straight: each
 * session is as wide as regular hours, and nights and weekends take no time.
 *
 * @param today the place of today's session among the bars, from 0
 */
public record DayScale(int today) {
  private static final double REGULAR = SessionHours.USUAL_CLOSE - SessionHours.OPEN;

  /**
   * The moment that a place stands for, {@link kelvo.time.DayTime}; below 0 for earlier sessions.
   *
   * @param place from the left edge of the first bar, in bars
   */
  public long momentAt(double place) {
    return SessionHours.OPEN + Math.round((place - today) * REGULAR);
  }
}
