package kelvo.scan;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.field.Field;
import kelvo.refusal.RefusedException;
import kelvo.rule.Vocabulary;
import kelvo.time.DayTime;

/**
 * How a scan orders its matches from a moment on.
 *
 * @param from first moment, {@link kelvo.time.DayTime}; 0 for the whole day
 * @param field what to order by
 * @param descending largest first
 */
public record SortOrder(long from, Field.Number field, boolean descending) {
  private static final Pattern PHRASE =
      Pattern.compile("(?:from (\\d\\d:\\d\\d) )?(.+?)(?: (up|down))?");

  /**
   * The order of a phrase: [from HH:MM ]FIELD[ up| down].
   *
   * @throws RefusedException when it is none
   */
  public static SortOrder parse(String phrase, Vocabulary vocabulary) {
    Matcher matcher = PHRASE.matcher(phrase.strip());
    if (!matcher.matches()) {
      throw new RefusedException(
          "expected such as \"from 10:00 change % down\", found \"" + phrase + "\"");
    }
    if (vocabulary.find(matcher.group(2)).orElse(null) instanceof Field.Number field) {
      long from = matcher.group(1) == null ? 0 : DayTime.parse(matcher.group(1));
      return new SortOrder(from, field, !"up".equals(matcher.group(3)));
    }
    throw new RefusedException(
        "expected a field that is a number, found \"" + matcher.group(2) + "\"");
  }

  /** The phrase that reads back as this order. */
  public String words() {
    String start = from == 0 ? "" : "from " + DayTime.minutes(from) + " ";
    return start + field.words() + (descending ? " down" : " up");
  }
}
