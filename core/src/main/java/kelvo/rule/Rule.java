package kelvo.rule;

import java.util.List;
import java.util.stream.Collectors;
import kelvo.field.Field;

/**
 * A condition on one field. With steps that name phases, each bound holds from its phase's start
 * until the next phase named; before the first, the rule asks nothing. An unknown value does not
 * pass, unless the rule says "or unknown".
 *
 * @param steps one step without a phase, or several with one each, in the day's order
 */
public record Rule(Field field, Relation relation, List<Step> steps, boolean orUnknown) {
  /**
   * A bound and the phase from which it holds.
   *
   * @param phase a phase's name; empty for the whole day
   */
  public record Step(Bound bound, String phase) {}

  public Rule {
    steps = List.copyOf(steps);
  }

  /** The rule as a sentence that reads back as the same rule. */
  public String sentence() {
    String bounds =
        steps.stream()
            .map(s -> s.phase().isEmpty() ? s.bound().words() : s.bound().words() + " " + s.phase())
            .collect(Collectors.joining(", "));
    return field.words() + " " + relation.words() + " " + bounds + (orUnknown ? " or unknown" : "");
  }
}
