package kelvo.data.ledger;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import kelvo.refusal.RefusedException;
import kelvo.time.DayTime;

/** What a cell of an archive must be, and the value that its text stands for in the ledger. */
interface ArchiveCell {
  /** Any text. */
  ArchiveCell TEXT = text -> text;

  /** A day such as 2031-03-12. */
  ArchiveCell DATE =
      text -> {
        try {
          return LocalDate.parse(text).toString();
        } catch (DateTimeException e) {
          throw new RefusedException("a date such as 2031-03-12", e);
        }
      };

  /** A whole number. */
  ArchiveCell WHOLE = text -> whole(text, "a whole number");

  /** Nanoseconds since midnight, New York. */
  ArchiveCell TIME_OF_DAY =
      text -> {
        String expected = "nanoseconds since midnight, 0 to " + DayTime.DAY;
        long at = whole(text, expected);
        if (at < 0 || at > DayTime.DAY) {
          throw new RefusedException(expected);
        }
        return at;
      };

  /** An exact decimal, kept as its text. */
  ArchiveCell DECIMAL =
      text -> {
        try {
          return new BigDecimal(text).toPlainString();
        } catch (NumberFormatException e) {
          throw new RefusedException("a decimal number", e);
        }
      };

  /** A floating-point number, which SQLite would read less exactly. */
  ArchiveCell NUMBER = ArchiveCell::number;

  /** A floating-point number, or nothing where it is not known; kept as its text. */
  ArchiveCell NUMBER_OR_EMPTY =
      text -> {
        if (!text.isEmpty()) {
          number(text);
        }
        return text;
      };

  /**
   * The value for the ledger.
   *
   * @throws RefusedException with what was expected in words
   */
  Object value(String text);

  /** One of the constants of an enum by its name. */
  static <E extends Enum<E>> ArchiveCell oneOf(Class<E> choices) {
    return oneOf(Arrays.stream(choices.getEnumConstants()).map(Enum::name).toList());
  }

  /** One of some words. */
  static ArchiveCell oneOf(List<String> words) {
    return text -> {
      if (!words.contains(text)) {
        throw new RefusedException("one of " + String.join(", ", words));
      }
      return text;
    };
  }

  private static long whole(String text, String expected) {
    try {
      return Long.parseLong(text);
    } catch (NumberFormatException e) {
      throw new RefusedException(expected, e);
    }
  }

  private static double number(String text) {
    try {
      return Double.parseDouble(text);
    } catch (NumberFormatException e) {
      throw new RefusedException("a number", e);
    }
  }
}
