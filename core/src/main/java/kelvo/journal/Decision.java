package kelvo.journal;

import kelvo.scan.Side;

/**
 * A keep or a drop with its reason.
 *
 * @param symbol the security
 * @param at the session's moment at which it was taken, {@link kelvo.time.DayTime}
 * @param choice what was decided
 * @param reason why, in a few words
 * @param side which way it is to be traded
 * @param bucket when: "at the open", "later" or "only watch"
 * @param plan a line of plan; may be empty
 */
public record Decision(
    String symbol, long at, Choice choice, String reason, Side side, String bucket, String plan) {
  /** The usual buckets. */
  public static final java.util.List<String> BUCKETS =
      java.util.List.of("at the open", "later", "only watch");
}
