package kelvo.alert;

/**
 * Something that concerns the trader, and whether it rings.
 *
 * @param rank how much it matters
 * @param isFirst whether it is the first of its kind on its symbol today
 * @param outcome whether it rings, and why not
 */
public record Ring(AlertEvent event, Rank rank, boolean isFirst, Outcome outcome) {
  /** How much a ring matters, the most first: a higher one is never held back by a lower one. */
  public enum Rank {
    HALT_OF_MINE,
    HELD,
    WATCHED,
    HALT_ELSEWHERE,
    SCAN
  }

  /** Whether something rings. */
  public enum Outcome {
    RINGS("rang"),
    COOLING("had just rung"),
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

  /** Whether it rings. */
  public boolean rings() {
    return outcome == Outcome.RINGS;
  }
}
