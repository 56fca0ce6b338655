package kelvo.research;

/**
 * How long after its entry a case was first so far ahead, and so far behind, in its own session.
 *
 * @param gain nanoseconds; {@link #NEVER} when it was not
 * @param loss likewise
 */
public record TimeTo(long gain, long loss) {
  /** It did not come in the session. */
  public static final long NEVER = -1;

  /** What came first. */
  public enum First {
    GAIN,
    LOSS,
    /** Neither came. */
    NEITHER,
    /** Both within one minute bar, which does not tell which was first. */
    TOGETHER
  }

  /** Which of the two came first. */
  public First first() {
    if (gain == loss) {
      return gain == NEVER ? First.NEITHER : First.TOGETHER;
    }
    return loss == NEVER || (gain != NEVER && gain < loss) ? First.GAIN : First.LOSS;
  }
}
