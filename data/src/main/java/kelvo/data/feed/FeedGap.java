package kelvo.data.feed;

/**
 * A time during which a feed did not tell what happened as it happened.
 *
 * @param kind what was wrong
 * @param from the last moment that had been told, {@link kelvo.time.DayTime}
 * @param until the moment that had been told when the feed was in step again
 */
public record FeedGap(Kind kind, long from, long until) {
  /** What was wrong. */
  public enum Kind {
    /** No connection, or nothing heard. */
    LOST,
    /** Frames were missing between others. */
    HOLE
  }
}
