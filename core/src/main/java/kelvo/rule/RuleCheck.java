package kelvo.rule;

import java.util.function.Function;
import kelvo.field.Field;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import org.jspecify.annotations.Nullable;

/**
 * A rule made ready for one session: its {@link RuleBounds bounds}, and what reads its fields from
 * a security's state. Does not allocate when asked of a number.
 */
public final class RuleCheck {
  private final Rule rule;
  private final RuleBounds bounds;
  private final Field.Reading reading;

  /** By phase, what reads the other field that the rule is held against; null without one. */
  private final Field.@Nullable Reading[] otherReadings;

  /** Prepares a rule that is asked alone. */
  public RuleCheck(Rule rule, Session session) {
    this(rule, session, field -> field.bind(session));
  }

  /** Prepares one of many rules that are asked together. */
  public RuleCheck(Rule rule, SharedReadings shared) {
    this(rule, shared.session(), shared::of);
  }

  private RuleCheck(Rule rule, Session session, Function<Field.Number, Field.Reading> readings) {
    this.rule = rule;
    bounds = new RuleBounds(rule, session.phases());
    reading =
        switch (rule.field()) {
          case Field.Number number -> readings.apply(number);
          case Field.Word word -> (state, now) -> bounds.numberOf(word.of(state, now));
        };
    otherReadings = new Field.Reading[session.phases().all().size()];
    for (int phase = 0; phase < otherReadings.length; phase++) {
      Field.Number other = bounds.otherIn(phase);
      otherReadings[phase] = other == null ? null : readings.apply(other);
    }
  }

  /** Whether the rule holds for a security at a moment in a phase. */
  public boolean passes(SymbolState state, long now, int phase) {
    if (!bounds.asksIn(phase)) {
      return true;
    }
    double value = reading.at(state, now);
    Field.Reading other = otherReadings[phase];
    return other == null
        ? bounds.holds(value, phase)
        : bounds.holds(value, other.at(state, now), phase);
  }

  /** The field's value as a file has it; empty when unknown. */
  public String value(SymbolState state, long now) {
    return switch (rule.field()) {
      case Field.Number number -> number.unit().plain(reading.at(state, now));
      case Field.Word word -> word.of(state, now);
    };
  }

  /** The field's value as shown on screen, with its unit; empty when unknown. */
  public String shown(SymbolState state, long now) {
    return switch (rule.field()) {
      case Field.Number number -> {
        String text = number.unit().text(reading.at(state, now));
        yield text.isEmpty() ? text : number.unit().withSign(text);
      }
      case Field.Word word -> word.of(state, now);
    };
  }

  /** The bound in force at a moment, as a sentence writes it; empty while the rule asks nothing. */
  public String boundWords(SymbolState state, long now, int phase) {
    if (!bounds.asksIn(phase)) {
      return "";
    }
    Field.Reading other = otherReadings[phase];
    String text = rule.relation().words() + " " + bounds.wordsIn(phase);
    return other == null
        ? text
        : text + " = " + rule.field().unit().text(bounds.factorIn(phase) * other.at(state, now));
  }

  /** Whether the rule asks anything in a phase. */
  boolean asksIn(int phase) {
    return bounds.asksIn(phase);
  }

  /** Whether the rule asks for an interval of its own field's values in a phase. */
  boolean isIntervalIn(int phase) {
    return bounds.asksIn(phase) && otherReadings[phase] == null;
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
