package kelvo.field;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.state.HitCounts;
import kelvo.time.DayTime;

/**
 * "hits 10m": how often the scan that asks has hit the security lately. It means something only in
 * a scan, which must say by {@link #in} that it is the one who asks.
 */
public final class RecentHits {
  private static final Pattern WORDS = Pattern.compile("hits (\\d{1,4})m");

  private RecentHits() {}

  static FieldFamily family() {
    return FieldFamily.ofNumber(
        "hits Nm", n -> field("hits " + n + "m", n, session -> (s, now) -> Double.NaN));
  }

  private static Field.Number field(String words, int minutes, Field.Binder binder) {
    return new Field.Number(
        words,
        Unit.COUNT,
        Field.Pace.CLOCK,
        "Hits of this scan on the security in the last "
            + minutes
            + " minutes, the one that is asked about left out.",
        "no scan asks, or its hits are not followed",
        binder);
  }

  /** Whether a field counts the hits of the scan that asks. */
  public static boolean isCountedBy(Field field) {
    return WORDS.matcher(field.words()).matches();
  }

  /** The field as a scan asks it: its own hits count. Other fields are the same for everyone. */
  public static Field.Number in(Field.Number field, String scan) {
    Matcher words = WORDS.matcher(field.words());
    if (!words.matches()) {
      return field;
    }
    long span = Long.parseLong(words.group(1)) * DayTime.MINUTE;
    return field(
        field.words() + " of " + scan,
        Integer.parseInt(words.group(1)),
        session ->
            (s, now) -> {
              HitCounts counts = s.market().hitCounts();
              return counts == null ? Double.NaN : counts.count(scan, s.id(), now - span, now);
            });
  }
}
