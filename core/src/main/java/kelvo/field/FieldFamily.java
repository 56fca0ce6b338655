package kelvo.field;

import java.util.Optional;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Fields that differ by a whole number, such as "ema 50d".
 *
 * @param words how they are named, with N for the number
 * @param make makes the field of a number
 */
record FieldFamily(String words, IntFunction<Field> make) {
  private static final int MOST = 1000;

  Optional<Field> find(String text) {
    Matcher matcher = Pattern.compile(words.replace("N", "(\\d{1,4})")).matcher(text);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    int n = Integer.parseInt(matcher.group(1));
    return n < 1 || n > MOST ? Optional.empty() : Optional.of(make.apply(n));
  }
}
