package kelvo.alert;

import java.util.Set;
import kelvo.delivery.Channel;

/**
 * Something that concerns the trader, and whether it rings.
 *
 * @param rank how much it matters
 * @param isFirst whether it is the first of its kind on its symbol today
 * @param outcome whether it rings, and why not
 * @param strength among the hits of the day so far, 0 to 1
 * @param how the ways in which it reaches the trader
 */
public record Ring(
    AlertEvent event,
    Rank rank,
    boolean isFirst,
    Outcome outcome,
    double strength,
    Set<Channel> how) {
  /** How much a ring matters, the most first: a higher one is never held back by a lower one. */
  public enum Rank {
    HALT_OF_MINE,
    HELD,
    WATCHED,
    HALT_ELSEWHERE,
    ALERT,
    SCAN
  }

  /** Whether something rings. */
  public enum Outcome {
    RINGS("rang"),
    COOLING("had just rung"),
    SPENT("rings once"),
    OVER_BUDGET("over its scan's budget"),
    QUIET("quiet");

    private final String words;

    Outcome(String words) {
      this.words = words;
    }

    /** What became of it, in words. */
    public String words() {
      return words;
    }
  }

  /** Reaching the trader in all its ways but one. */
  public Ring without(Channel channel) {
    return new Ring(event, rank, isFirst, outcome, strength, Channel.changed(how, channel, false));
  }

  /** Whether it rings. */
  public boolean rings() {
    return outcome == Outcome.RINGS;
  }
}
