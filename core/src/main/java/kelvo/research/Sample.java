package kelvo.research;

/** What a sample can carry. */
public enum Sample {
  /** Chance makes so much seldom, there is enough of it, and it held in the last third too. */
  CARRIES_IT("carries it"),
  /** Chance alone, asked once, makes so much seldom; asked so often it may. */
  HINTS("hints"),
  /** Chance makes so much often. */
  SAYS_NOTHING("says nothing");

  private static final double LEVEL = 0.05;
  private static final int LEAST_CASES = 40;
  private static final int LEAST_SESSIONS = 15;

  private final String words;

  Sample(String words) {
    this.words = words;
  }

  /** The words on screen. */
  public String words() {
    return words;
  }

  /**
   * What a sample can carry.
   *
   * @param p of the test alone
   * @param corrected for all tests that are looked at together
   * @param holds whether the sign is the same in the first two thirds and in the last third of the
   *     dates
   */
  static Sample of(double p, double corrected, int cases, int sessions, boolean holds) {
    if (corrected < LEVEL && cases >= LEAST_CASES && sessions >= LEAST_SESSIONS && holds) {
      return CARRIES_IT;
    }
    return p < LEVEL ? HINTS : SAYS_NOTHING;
  }
}
