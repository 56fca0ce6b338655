package kelvo.level;

import kelvo.state.Crossing;
import kelvo.time.DayTime;

/**
 * How a price has stood to one level so far: passing it, touching it, coming back to it after
 * having been away.
 */
public final class LevelProgress {
  public static final int ROSE = 1;
  public static final int FELL = 1 << 1;
  public static final int TOUCHED_FROM_BELOW = 1 << 2;
  public static final int TOUCHED_FROM_ABOVE = 1 << 3;
  public static final int RETESTED_FROM_ABOVE = 1 << 4;
  public static final int RETESTED_FROM_BELOW = 1 << 5;

  /** Besides a retest: the last minute's volume is below that of the break. */
  public static final int QUIETLY = 1 << 6;

  private static final long TOUCH_AGAIN_PART = 1000;
  private static final long AWAY_PART = 100;
  private static final long BACK_PART = 500;

  private long crossing = Crossing.UNKNOWN;
  private long before;
  private long touchedAt = Long.MIN_VALUE;
  private boolean touched;
  private int broke;
  private boolean wasAway;
  private long volumeOfBreak;

  /** Learns the price before the first that it is told. */
  void prime(long priceBefore, long level) {
    crossing = Crossing.primed(crossing, priceBefore, level);
    before = before == 0 ? priceBefore : before;
  }

  /**
   * Takes the next price and returns what it did, as bits.
   *
   * @param lastMinute shares of the last minute, this print included
   */
  int next(long price, long level, long now, long lastMinute) {
    int did = touch(price, level, now);
    crossing = Crossing.next(crossing, price, level, now);
    int way = Crossing.way(crossing);
    if (way != Crossing.NONE) {
      did |= way == Crossing.ROSE ? ROSE : FELL;
    }
    did |= retest(price, level, lastMinute);
    if (way != Crossing.NONE) {
      broke = way;
      wasAway = false;
      volumeOfBreak = lastMinute;
    }
    before = price;
    return did;
  }

  private int touch(long price, long level, long now) {
    if (price != level) {
      boolean away = Math.abs(price - level) * TOUCH_AGAIN_PART >= level;
      touched &= !away && now - touchedAt < DayTime.MINUTE;
      return 0;
    }
    if (touched || before == 0 || before == level) {
      return 0;
    }
    touched = true;
    touchedAt = now;
    return before < level ? TOUCHED_FROM_BELOW : TOUCHED_FROM_ABOVE;
  }

  private int retest(long price, long level, long lastMinute) {
    if (broke == 0) {
      return 0;
    }
    wasAway |= broke * (price - level) * AWAY_PART >= level;
    if (!wasAway || Math.abs(price - level) * BACK_PART > level) {
      return 0;
    }
    int did = broke > 0 ? RETESTED_FROM_ABOVE : RETESTED_FROM_BELOW;
    broke = 0;
    wasAway = false;
    return lastMinute < volumeOfBreak ? did | QUIETLY : did;
  }
}
