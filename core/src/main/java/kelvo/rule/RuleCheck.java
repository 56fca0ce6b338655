package kelvo.rule;

import java.util.List;
import java.util.function.Function;
import kelvo.field.Field;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import org.jspecify.annotations.Nullable;

/**
 * A rule made ready for one session: its field bound and its bounds laid out by phase as intervals
 * with both ends included. A word is asked as a number, 1 when the rule names it. Does not allocate
 * when asked.
 */
public final class RuleCheck {
  private final Rule rule;
  private final Field.Reading reading;
  private final Field.@Nullable Reading[] boundReadings;
  private final double[] factors;
  private final double[] lows;
  private final double[] highs;
  private final boolean[] asks;
  private final String[] words;
  private final boolean not;

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
    int phases = session.phases().all().size();
    reading =
        switch (rule.field()) {
          case Field.Number number -> readings.apply(number);
          case Field.Word word -> (state, now) -> isNamed(word.of(state, now));
        };
    boundReadings = new Field.Reading[phases];
    factors = new double[phases];
    lows = new double[phases];
    highs = new double[phases];
    asks = new boolean[phases];
    words = new String[phases];
    not = rule.relation() == Relation.IS_NOT;
    List<Rule.Step> steps = rule.steps();
    for (Rule.Step step : steps) {
      int from = step.phase().isEmpty() ? 0 : session.phases().indexOf(step.phase()).orElse(0);
      lay(step.bound(), from, readings);
    }
  }

  private void lay(Bound bound, int fromPhase, Function<Field.Number, Field.Reading> readings) {
    Field.Reading other = bound instanceof Bound.Times times ? readings.apply(times.field()) : null;
    for (int phase = fromPhase; phase < asks.length; phase++) {
      asks[phase] = true;
      boundReadings[phase] = other;
      words[phase] = bound.words();
      switch (bound) {
        case Bound.Amount amount -> {
          lows[phase] = rule.relation().low(amount.value());
          highs[phase] = rule.relation().high(amount.value());
        }
        case Bound.Range range -> {
          lows[phase] = range.low();
          highs[phase] = range.high();
        }
        case Bound.Times times -> factors[phase] = times.factor();
        case Bound.Words words -> {
          lows[phase] = 1;
          highs[phase] = 1;
        }
      }
    }
  }

  /** 1 when the rule names a word, 0 when it does not, NaN when there is no word. */
  private double isNamed(String word) {
    if (word.isEmpty()) {
      return Double.NaN;
    }
    if (rule.steps().getFirst().bound() instanceof Bound.Words bound) {
      for (String named : bound.all()) {
        if (named.equalsIgnoreCase(word)) {
          return 1;
        }
      }
    }
    return 0;
  }

  /** Whether the rule holds for a security at a moment in a phase. */
  public boolean passes(SymbolState state, long now, int phase) {
    if (!asks[phase]) {
      return true;
    }
    double value = reading.at(state, now);
    Field.Reading other = boundReadings[phase];
    if (other == null) {
      return value >= lows[phase] && value <= highs[phase]
          ? !not
          : Double.isNaN(value) ? rule.orUnknown() : not;
    }
    double bound = factors[phase] * other.at(state, now);
    if (Double.isNaN(value) || Double.isNaN(bound)) {
      return rule.orUnknown();
    }
    return (value >= rule.relation().low(bound) && value <= rule.relation().high(bound)) != not;
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
    if (!asks[phase]) {
      return "";
    }
    Field.Reading other = boundReadings[phase];
    String text = rule.relation().words() + " " + words[phase];
    return other == null
        ? text
        : text + " = " + rule.field().unit().text(factors[phase] * other.at(state, now));
  }

  /** Whether the rule asks anything in a phase. */
  boolean asksIn(int phase) {
    return asks[phase];
  }

  /** Whether the rule asks for an interval of its own field's values in a phase. */
  boolean isIntervalIn(int phase) {
    return asks[phase] && boundReadings[phase] == null;
  }

  /** The interval in a phase for which {@link #isIntervalIn}, as that of a scan's bit. */
  BoundCells.Interval intervalIn(int phase, long scan) {
    return new BoundCells.Interval(scan, lows[phase], highs[phase], not, rule.orUnknown());
  }

  /** The rule that this checks. */
  public Rule rule() {
    return rule;
  }
}
