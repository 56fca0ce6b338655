package kelvo.rule;

import java.util.List;
import kelvo.time.Phases;
import org.jspecify.annotations.Nullable;

/**
 * What a rule asks in each phase, apart from where its values come from: its bounds as intervals
 * with both ends included. A word is a number here, 1 when the rule names it, else 0. Immutable.
 */
final class RuleBounds {
  private final Rule rule;
  private final boolean[] asks;
  private final double[] lows;
  private final double[] highs;
  private final Bound.@Nullable OtherField[] others;
  private final String[] words;
  private final boolean not;

  /** Lays a rule out by phase. */
  RuleBounds(Rule rule, Phases phases) {
    this.rule = rule;
    int count = phases.all().size();
    asks = new boolean[count];
    lows = new double[count];
    highs = new double[count];
    others = new Bound.OtherField[count];
    words = new String[count];
    not = rule.relation() == Relation.IS_NOT;
    List<Rule.Step> steps = rule.steps();
    for (Rule.Step step : steps) {
      lay(step.bound(), step.phase().isEmpty() ? 0 : phases.indexOf(step.phase()).orElse(0));
    }
  }

  private void lay(Bound bound, int fromPhase) {
    for (int phase = fromPhase; phase < asks.length; phase++) {
      asks[phase] = true;
      others[phase] = null;
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
        case Bound.OtherField other -> others[phase] = other;
        case Bound.Words named -> {
          lows[phase] = 1;
          highs[phase] = 1;
        }
      }
    }
  }

  /** Whether the rule asks anything in a phase. */
  boolean asksIn(int phase) {
    return asks[phase];
  }

  /** The field that the rule's own is held against in a phase; null when there is none. */
  Bound.@Nullable OtherField otherIn(int phase) {
    return others[phase];
  }

  /** The bound of a phase as the rule's sentence writes it. */
  String wordsIn(int phase) {
    return words[phase];
  }

  /** The interval in a phase without another field, as that of a scan's bit. */
  BoundCells.Interval intervalIn(int phase, long scan) {
    return new BoundCells.Interval(scan, lows[phase], highs[phase], not, rule.orUnknown());
  }

  /** Whether a value passes in a phase that asks and has no other field; NaN is unknown. */
  boolean holds(double value, int phase) {
    return (value >= lows[phase] && value <= highs[phase])
        ? !not
        : Double.isNaN(value) ? rule.orUnknown() : not;
  }

  /** Whether a value passes in a phase in which it is held against another field's value. */
  boolean holds(double value, Bound.OtherField against, double other) {
    double bound = against.of(other);
    if (Double.isNaN(value) || Double.isNaN(bound)) {
      return rule.orUnknown();
    }
    return (value >= rule.relation().low(bound) && value <= rule.relation().high(bound)) != not;
  }

  /** 1 when the rule names a word, 0 when it does not, NaN when there is no word. */
  double numberOf(String word) {
    if (word.isEmpty()) {
      return Double.NaN;
    }
    if (rule.steps().getFirst().bound() instanceof Bound.Words named) {
      for (String one : named.all()) {
        if (one.equalsIgnoreCase(word)) {
          return 1;
        }
      }
    }
    return 0;
  }
}
