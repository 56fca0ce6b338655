package kelvo.field;

import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fields that differ by a whole number or a symbol, such as "ema 50d".
 *
 * @param words how they are named, with a capital word for what differs
 * @param example one of them
 * @param pattern their names, with a group for what differs
 * @param make makes the field of that
 */
record FieldFamily(
    String words, Field example, Pattern pattern, Function<String, Optional<Field>> make) {
  private static final int MAX = 1000;
  private static final int EXAMPLE = 20;

  /** A family by whole numbers from 1 to 1000, written N. */
  static FieldFamily ofNumber(String words, IntFunction<Field> make) {
    return new FieldFamily(
        words,
        make.apply(EXAMPLE),
        Pattern.compile(words.replace("N", "(\\d{1,4})")),
        text -> {
          int n = Integer.parseInt(text);
          return n < 1 || n > MAX ? Optional.empty() : Optional.of(make.apply(n));
        });
  }

  /** A family by ticker symbols, written SYM. */
  static FieldFamily ofSymbol(String words, Function<String, Field> make) {
    return new FieldFamily(
        words,
        make.apply("SYM"),
        Pattern.compile(words.replace("SYM", "([a-z0-9./-]{1,12})")),
        text -> Optional.of(make.apply(text.toUpperCase(java.util.Locale.ROOT))));
  }

  Optional<Field> find(String text) {
    Matcher matcher = pattern.matcher(text);
    return matcher.matches() ? make.apply(matcher.group(1)) : Optional.empty();
  }
}
