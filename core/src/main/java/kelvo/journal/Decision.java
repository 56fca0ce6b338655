package kelvo.journal;

import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
 * @param plan a line of plan, which may name a size, as in "500 shares"; may be empty
 */
public record Decision(
    String symbol, long at, Choice choice, String reason, Side side, String bucket, String plan) {
  /** The usual buckets. */
  public static final List<String> BUCKETS = List.of("at the open", "later", "only watch");

  private static final Pattern SHARES =
      Pattern.compile("(?<![\\d.,])(\\d{1,9}|\\d{1,3}(?:,\\d{3}){1,2})\\s*shares?\\b");

  /** The size that the plan names, as in "buy 500 shares over 8.20"; empty when it names none. */
  public OptionalInt plannedShares() {
    Matcher shares = SHARES.matcher(plan.toLowerCase(Locale.ROOT));
    return shares.find()
        ? OptionalInt.of(Integer.parseInt(shares.group(1).replace(",", "")))
        : OptionalInt.empty();
  }
}
