package kelvo.data.fill;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Dates and times as brokers write them. */
final class WrittenMoment {
  /** In which order the parts of a date stand where the year does not come first. */
  enum Order {
    MONTH_FIRST,
    DAY_FIRST
  }

  private static final Pattern DATE =
      Pattern.compile("(?<!\\d)(\\d{1,4})([-/.])(\\d{1,2})\\2(\\d{2,4})(?!\\d)");
  private static final Pattern SHORT_DATE =
      Pattern.compile("(?<!\\d)(20\\d{2})(\\d{2})(\\d{2})(?!\\d)");
  private static final Pattern TIME =
      Pattern.compile(
          "(?<!\\d)(\\d{1,2}):(\\d{2})(?::(\\d{2})(?:[.,](\\d{1,9}))?)?\\s*([AaPp])?\\.?[Mm]?\\.?");
  private static final Pattern OFFSET = Pattern.compile("(Z|[+-]\\d{2}:?\\d{2})$");
  private static final int CENTURY = 2000;
  private static final int MONTHS = 12;
  private static final int YEAR_DIGITS = 4;
  private static final int NANO_DIGITS = 9;

  private WrittenMoment() {}

  /** The date in a text. */
  static Optional<LocalDate> date(String text, Order order) {
    try {
      Matcher plain = DATE.matcher(text);
      if (plain.find()) {
        int first = Integer.parseInt(plain.group(1));
        int second = Integer.parseInt(plain.group(3));
        int third = Integer.parseInt(plain.group(4));
        if (plain.group(1).length() == YEAR_DIGITS) {
          return Optional.of(LocalDate.of(first, second, third));
        }
        int year = third < 100 ? CENTURY + third : third;
        return Optional.of(
            order == Order.MONTH_FIRST
                ? LocalDate.of(year, first, second)
                : LocalDate.of(year, second, first));
      }
      Matcher tight = SHORT_DATE.matcher(text);
      return tight.find()
          ? Optional.of(
              LocalDate.of(
                  Integer.parseInt(tight.group(1)),
                  Integer.parseInt(tight.group(2)),
                  Integer.parseInt(tight.group(3))))
          : Optional.empty();
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  /** The time of day in a text. */
  static Optional<LocalTime> time(String text) {
    Matcher found = TIME.matcher(text);
    if (!found.find()) {
      return Optional.empty();
    }
    int hour = Integer.parseInt(found.group(1));
    String half = found.group(5) == null ? "" : found.group(5).toLowerCase(Locale.ROOT);
    if (!half.isEmpty()) {
      hour = hour % MONTHS + (half.equals("p") ? MONTHS : 0);
    }
    String parts = found.group(4) == null ? "" : found.group(4);
    try {
      return Optional.of(
          LocalTime.of(
              hour,
              Integer.parseInt(found.group(2)),
              found.group(3) == null ? 0 : Integer.parseInt(found.group(3)),
              Integer.parseInt((parts + "0".repeat(NANO_DIGITS)).substring(0, NANO_DIGITS))));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  /** The offset from UTC that ends a text, else the zone. */
  static ZoneId zone(String text, ZoneId otherwise) {
    Matcher found = OFFSET.matcher(text.strip());
    return found.find() && text.contains(":") && text.indexOf(':') < found.start()
        ? ZoneOffset.of(found.group(1))
        : otherwise;
  }

  /**
   * The order that dates without a leading year stand in: by a first number above 12, or points.
   */
  static Order order(Iterable<String> texts) {
    for (String text : texts) {
      Matcher found = DATE.matcher(text);
      if (found.find() && found.group(1).length() < YEAR_DIGITS) {
        if (Integer.parseInt(found.group(1)) > MONTHS || found.group(2).equals(".")) {
          return Order.DAY_FIRST;
        }
        if (Integer.parseInt(found.group(3)) > MONTHS) {
          return Order.MONTH_FIRST;
        }
      }
    }
    return Order.MONTH_FIRST;
  }
}
