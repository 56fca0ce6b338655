package kelvo.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kelvo.field.Field;
import kelvo.field.RecentHits;
import kelvo.field.Unit;
import kelvo.time.Phases;

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

  /** Its field and the fields that it is held against. */
  public List<Field> fields() {
    List<Field> fields = new ArrayList<>();
    fields.add(field);
    for (Step step : steps) {
      if (step.bound() instanceof Bound.OtherField other) {
        fields.add(other.field());
      }
    }
    return fields;
  }

  /** What makes its answer change. */
  public List<Field.Pace> paces() {
    return fields().stream().map(Field::pace).toList();
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

  /** Whether its answer stays the same all session. */
  public boolean isSettled() {
    return paces().stream().allMatch(p -> p == Field.Pace.FIXED)
        && steps.stream().allMatch(step -> step.phase().isEmpty());
  }

  /** The place of the step in force in a phase; -1 while the rule asks nothing. */
  public int stepIn(int phase, Phases phases) {
    int found = -1;
    for (int i = 0; i < steps.size(); i++) {
      String named = steps.get(i).phase();
      found = named.isEmpty() || phases.indexOf(named).orElse(0) <= phase ? i : found;
    }
    return found;
  }

  /** Numbers from one to another, both included. */
  public record Interval(double low, double high) {}

  /** The numbers that pass in a phase; empty when they are no one interval or depend on others. */
  public Optional<Interval> intervalIn(int phase, Phases phases) {
    int step = stepIn(phase, phases);
    if (step < 0 || relation == Relation.IS_NOT) {
      return Optional.empty();
    }
    return switch (steps.get(step).bound()) {
      case Bound.Amount amount ->
          Optional.of(new Interval(relation.low(amount.value()), relation.high(amount.value())));
      case Bound.Range range -> Optional.of(new Interval(range.low(), range.high()));
      case Bound.OtherField other -> Optional.empty();
      case Bound.Words words -> Optional.empty();
    };
  }

  /** The rule as a scan asks it, which may ask for its own hits: {@link RecentHits#in}. */
  public Rule in(String scan) {
    return field instanceof Field.Number number
        ? new Rule(RecentHits.in(number, scan), relation, steps, orUnknown)
        : this;
  }

  /** With another bound in one of its steps. */
  public Rule withBound(int step, Bound bound) {
    List<Step> changed = new ArrayList<>(steps);
    changed.set(step, new Step(bound, steps.get(step).phase()));
    return new Rule(field, relation, changed, orUnknown);
  }

  /** The rule that the same numbers with the other sign pass. */
  public Rule mirrored() {
    Relation turned =
        switch (relation) {
          case AT_LEAST -> Relation.AT_MOST;
          case AT_MOST -> Relation.AT_LEAST;
          case ABOVE -> Relation.BELOW;
          case BELOW -> Relation.ABOVE;
          case BETWEEN, IS, IS_NOT, IS_ONE_OF -> relation;
        };
    List<Step> turnedSteps =
        steps.stream().map(step -> new Step(mirrored(step.bound()), step.phase())).toList();
    return new Rule(field, turned, turnedSteps, orUnknown);
  }

  private Bound mirrored(Bound bound) {
    return switch (bound) {
      case Bound.Amount amount ->
          new Bound.Amount(-amount.value(), Amounts.words(-amount.value(), field.unit()));
      case Bound.Range range ->
          new Bound.Range(
              -range.high(),
              -range.low(),
              Amounts.words(-range.high(), field.unit())
                  + " and "
                  + Amounts.words(-range.low(), field.unit()));
      case Bound.OtherField other -> other.mirrored();
      case Bound.Words words -> words;
    };
  }

  /**
   * With a bound of its own from a phase on, at first the one in force there. A bound for the whole
   * day becomes that of the first phase.
   */
  public Rule withStepFrom(int phase, Phases phases) {
    List<Step> changed = new ArrayList<>();
    for (Step step : steps) {
      changed.add(
          step.phase().isEmpty() ? new Step(step.bound(), phases.all().getFirst().name()) : step);
    }
    Rule scheduled = new Rule(field, relation, changed, orUnknown);
    String name = phases.all().get(phase).name();
    if (changed.stream().noneMatch(step -> step.phase().equals(name))) {
      int before = scheduled.stepIn(phase, phases);
      changed.add(before + 1, new Step(changed.get(Math.max(0, before)).bound(), name));
    }
    return new Rule(field, relation, changed, orUnknown);
  }

  /** Without the bound that begins with a phase; the last one left holds all day. */
  public Rule withoutStepFrom(int phase, Phases phases) {
    String name = phases.all().get(phase).name();
    List<Step> changed = new ArrayList<>(steps);
    changed.removeIf(step -> step.phase().equals(name) && steps.size() > 1);
    if (changed.size() == 1 && steps.size() > 1) {
      changed.set(0, new Step(changed.getFirst().bound(), ""));
    }
    return new Rule(field, relation, changed, orUnknown);
  }
}
