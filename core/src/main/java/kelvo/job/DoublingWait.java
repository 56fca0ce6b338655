package kelvo.job;

import java.time.Duration;

/**
 * How long to wait before something that failed is tried again: each time twice as long, up to a
 * bound.
 *
 * @param first the shortest wait
 * @param longest the bound
 */
public record DoublingWait(Duration first, Duration longest) {
  /** No bound is further off than so many doublings. */
  private static final int MOST_DOUBLINGS = 30;

  /** The wait after so many waits before it, from 0. */
  public Duration after(int waits) {
    Duration doubled = first.multipliedBy(1L << Math.min(waits, MOST_DOUBLINGS));
    return doubled.compareTo(longest) > 0 ? longest : doubled;
  }
}
