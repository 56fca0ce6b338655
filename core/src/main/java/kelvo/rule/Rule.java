package kelvo.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import kelvo.field.Field;
import kelvo.field.Unit;

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

  /**
   * What makes its answer change: the paces of its field and of the fields that it is held against.
   */
  public List<Field.Pace> paces() {
    List<Field.Pace> paces = new ArrayList<>();
    paces.add(field.pace());
    for (Step step : steps) {
      if (step.bound() instanceof Bound.Times times) {
        paces.add(times.field().pace());
      }
    }
    return paces;
  }

  /**
   * Whether it may come to hold without an event, as time passes. A value that time can only lower
   * never reaches a bound from below by itself.
   */
  public boolean mayPassWithTime() {
    boolean more = steps.stream().allMatch(step -> asksForMore(step.bound()));
    return paces().stream()
        .anyMatch(
            p ->
                switch (p) {
                  case LAST_MINUTE, LAST_FIVE_MINUTES, FALLING -> !more;
                  case CLOCK -> true;
                  case FIXED, EVENTS, QUOTES, MINUTES -> false;
                });
  }

  /** Whether a value that can only fall never comes to meet a bound. */
  private boolean asksForMore(Bound bound) {
    return bound instanceof Bound.Amount amount
        && switch (relation) {
          case AT_LEAST, ABOVE -> true;
          case IS -> field.unit() == Unit.FLAG && amount.value() == 1;
          default -> false;
        };
  }

  /** Whether it depends on the minutes since news. */
  public boolean isTimed() {
    return field.pace() == Field.Pace.MINUTES;
  }
}
