package kelvo.alert;

/**
 * The silence after a ring of one alert on one symbol: doubled at each repeat, and as short as at
 * first again after twice as long without one.
 */
final class Cooldown {
  private long current;
  private long rangAt;
  private long lastAt;

  /** One that has just rung for the first time. */
  Cooldown(long at, long first) {
    current = first;
    rangAt = at;
    lastAt = at;
  }

  /** Whether a repeat at a moment rings. */
  boolean rings(long at, AlertLimits limits) {
    boolean over = at - lastAt >= 2 * current;
    lastAt = at;
    if (over) {
      current = limits.cooldown();
      rangAt = at;
      return true;
    }
    if (at - rangAt < current) {
      return false;
    }
    current = Math.min(2 * current, limits.longest());
    rangAt = at;
    return true;
  }
}
