package kelvo.alert;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kelvo.refusal.RefusedException;
import kelvo.rule.Rule;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;

/**
 * When an alert rings.
 *
 * @param triggers one of them must fire; none when the rules alone decide, as they begin to hold
 * @param rules all must hold
 * @param from start of the time of day, {@link DayTime}
 * @param to its end, excluded
 */
public record AlertCondition(List<Trigger> triggers, List<Rule> rules, long from, long to) {
  private static final Pattern THROUGH =
      Pattern.compile("(?:rises|falls) through ([0-9]+(?:\\.[0-9]+)?)");

  public AlertCondition {
    triggers = List.copyOf(triggers);
    rules = List.copyOf(rules);
    if (from >= to) {
      throw new RefusedException(
          "after "
              + DayTime.minutes(from)
              + " and before "
              + DayTime.minutes(to)
              + " leave no time between them");
    }
  }

  /** The price that it waits for, in dollars; NaN when it waits for none. */
  public double price() {
    return triggers.stream()
        .map(trigger -> THROUGH.matcher(trigger.words()))
        .filter(Matcher::matches)
        .mapToDouble(price -> Double.parseDouble(price.group(1)))
        .findFirst()
        .orElse(Double.NaN);
  }

  /** Whether nothing is said but a time of day. */
  public boolean isEmpty() {
    return triggers.isEmpty() && rules.isEmpty();
  }

  /** It as words that {@link AlertSentence} reads back. */
  public String words() {
    StringBuilder words =
        new StringBuilder(
            triggers.stream().map(Trigger::words).collect(Collectors.joining(" or ")));
    String joined = rules.stream().map(Rule::sentence).collect(Collectors.joining(" and "));
    if (!joined.isEmpty()) {
      words.append(triggers.isEmpty() ? "" : " while ").append(joined);
    }
    if (from > DayTime.FIRST) {
      words.append(" after ").append(DayTime.minutes(from));
    }
    if (to < DayTime.LAST) {
      words.append(" before ").append(DayTime.minutes(to));
    }
    return words.toString().strip();
  }
}
