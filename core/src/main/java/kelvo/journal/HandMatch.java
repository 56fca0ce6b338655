package kelvo.journal;

/**
 * The trader's word on which move a trade was on, in place of what Kelvo found.
 *
 * @param trade the trade
 * @param says what is said
 * @param moveStart the first hit of the move, {@link kelvo.time.DayTime}; 0 unless a move is named
 */
public record HandMatch(Subject trade, Says says, long moveStart) {
  /** What can be said. */
  public enum Says {
    /** It was on the move that begins then. */
    THIS_MOVE,
    /** It was on none. */
    OFF_PLAN,
    /** What Kelvo finds counts again. */
    AS_FOUND
  }
}
