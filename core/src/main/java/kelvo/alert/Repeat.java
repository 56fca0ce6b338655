package kelvo.alert;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;

/**
 * How often an alert rings on one symbol.
 *
 * @param after how long after a ring it may ring again, nanoseconds; {@link Long#MAX_VALUE} for
 *     never
 */
public record Repeat(long after) {
  /** Once, until it is armed anew. */
  public static final Repeat ONCE = new Repeat(Long.MAX_VALUE);

  private static final Pattern AGAIN = Pattern.compile("again after (\\d{1,4}) ?(s|m|h)");

  public Repeat {
    if (after < DayTime.SECOND) {
      throw new RefusedException("an alert rings again after a second or later");
    }
  }

  /** "once" or "again after 5m". */
  public String words() {
    if (after == Long.MAX_VALUE) {
      return "once";
    }
    return after % DayTime.MINUTE == 0
        ? "again after " + after / DayTime.MINUTE + "m"
        : "again after " + after / DayTime.SECOND + "s";
  }

  /**
   * Reads what {@link #words} writes.
   *
   * @throws RefusedException when it is something else
   */
  public static Repeat parse(String words) {
    if (words.equals("once")) {
      return ONCE;
    }
    Matcher again = AGAIN.matcher(words);
    if (!again.matches()) {
      throw new RefusedException(
          "expected once, or again after a time such as 5m, found \"" + words + "\"");
    }
    long unit =
        switch (again.group(2)) {
          case "s" -> DayTime.SECOND;
          case "m" -> DayTime.MINUTE;
          default -> DayTime.HOUR;
        };
    return new Repeat(Long.parseLong(again.group(1)) * unit);
  }
}
