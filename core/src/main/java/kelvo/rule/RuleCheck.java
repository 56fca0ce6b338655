package kelvo.rule;

import kelvo.field.Field;
import kelvo.field.Values;
import kelvo.state.Subject;
import org.jspecify.annotations.Nullable;

/**
 * A rule made ready for one source of values: its {@link RuleBounds bounds}, and what reads its
 * fields. The one evaluator of rules, for live states and recorded moments alike. Does not allocate
 * when asked.
 */
public final class RuleCheck {
  /** What a rule says of one security: its value as shown, and whether it holds. */
  public record Answer(String value, boolean passes) {}

  private final Rule rule;
  private final RuleBounds bounds;
  private final Values.@Nullable Numbers numbers;
  private final Values.@Nullable Words words;

  /** By phase, what reads the other field that the rule is held against; null without one. */
  private final Values.@Nullable Numbers[] others;

  /** Prepares a rule. */
  public RuleCheck(Rule rule, Values values) {
    this.rule = rule;
    bounds = new RuleBounds(rule, values.phases());
    numbers = rule.field() instanceof Field.Number number ? values.numbers(number) : null;
    words = rule.field() instanceof Field.Word word ? values.words(word) : null;
    others = new Values.Numbers[values.phases().all().size()];
    for (int phase = 0; phase < others.length; phase++) {
      Bound.OtherField other = bounds.otherIn(phase);
      others[phase] = other == null ? null : values.numbers(other.field());
    }
  }

  /** Whether the rule holds for a security at a moment in a phase. */
  public boolean passes(Subject subject, long now, int phase) {
    if (!bounds.asksIn(phase)) {
      return true;
    }
    double value = number(subject, now);
    Values.Numbers other = others[phase];
    Bound.OtherField against = bounds.otherIn(phase);
    return (other == null || against == null)
        ? bounds.holds(value, phase)
        : bounds.holds(value, against, other.of(subject, now));
  }

  /** The field's value; for a word 1 when the rule names it, else 0; NaN when unknown. */
  private double number(Subject subject, long now) {
    return numbers != null ? numbers.of(subject, now) : bounds.numberOf(word(subject, now));
  }

  private String word(Subject subject, long now) {
    return words == null ? "" : words.of(subject, now);
  }

  /** The field's value as a file has it; empty when unknown. */
  public String value(Subject subject, long now) {
    return numbers == null
        ? word(subject, now)
        : rule.field().unit().plain(numbers.of(subject, now));
  }

  /** The field's value as shown on screen, with its unit; empty when unknown. */
  public String shown(Subject subject, long now) {
    if (numbers == null) {
      return word(subject, now);
    }
    String text = rule.field().unit().text(numbers.of(subject, now));
    return text.isEmpty() ? text : rule.field().unit().withSign(text);
  }

  /** What the rule says of a security at a moment in a phase. */
  public Answer answer(Subject subject, long now, int phase) {
    return new Answer(shown(subject, now), passes(subject, now, phase));
  }

  /** The bound in force at a moment, as a sentence writes it; empty while the rule asks nothing. */
  public String boundWords(Subject subject, long now, int phase) {
    if (!bounds.asksIn(phase)) {
      return "";
    }
    Values.Numbers other = others[phase];
    Bound.OtherField against = bounds.otherIn(phase);
    String text = rule.relation().words() + " " + bounds.wordsIn(phase);
    return other == null || against == null
        ? text
        : text + " = " + rule.field().unit().text(against.of(other.of(subject, now)));
  }

  /** Whether the rule asks anything in a phase. */
  boolean asksIn(int phase) {
    return bounds.asksIn(phase);
  }

  /** Whether the rule asks for an interval of its own field's values in a phase. */
  boolean isIntervalIn(int phase) {
    return bounds.asksIn(phase) && others[phase] == null;
  }

  /** The interval in a phase for which {@link #isIntervalIn}, as that of a scan's bit. */
  BoundCells.Interval intervalIn(int phase, long scan) {
    return bounds.intervalIn(phase, scan);
  }

  /** The rule that this checks. */
  public Rule rule() {
    return rule;
  }
}
