package kelvo.trigger;

import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Triggers that differ by their parameters, such as "new high of 20d".
 *
 * @param words how they are named, with examples of the parameters
 * @param pattern their names, with a group a parameter
 * @param make makes the trigger of a name that matches
 */
record TriggerFamily(String words, Pattern pattern, Function<Matcher, Trigger> make) {
  /**
   * Parts of patterns: a number with K, M or B, a per cent number, a whole number, a price, a
   * multiple.
   */
  static final String AMOUNT = "([0-9.]+[kmb]?)";

  static final String PERCENT = "([0-9.]+)%";
  static final String WHOLE = "([0-9]{1,4})";
  static final String PRICE = "([0-9]+(?:\\.[0-9]+)?)";
  static final String TIMES = "([0-9.]+)x";

  static TriggerFamily of(String words, String pattern, Function<Matcher, Trigger> make) {
    return new TriggerFamily(words, Pattern.compile(pattern), make);
  }

  Optional<Trigger> find(String phrase) {
    Matcher matcher = pattern.matcher(phrase);
    return matcher.matches() ? Optional.of(make.apply(matcher)) : Optional.empty();
  }

  Trigger example() {
    return find(words.toLowerCase(java.util.Locale.ROOT))
        .orElseThrow(() -> new IllegalStateException("no trigger: " + words));
  }
}
