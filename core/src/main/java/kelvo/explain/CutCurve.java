package kelvo.explain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import kelvo.field.Field;
import kelvo.field.RecentHits;
import kelvo.rule.Bound;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.scan.ScanCheck;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import org.jspecify.annotations.Nullable;

/**
 * How many securities a scan would be left with at every bound of one of its rules, all its other
 * rules as they are.
 *
 * @param rule the rule's place among the scan's
 * @param field what the rule is about
 * @param values the field's values of those that pass everything else, ascending; unknown ones left
 *     out
 * @param unknown how many pass everything else and have no value
 * @param low what the rule lets through now: from here, included
 * @param high to here, included
 * @param step the place of the rule's bound in force
 */
public record CutCurve(
    int rule, Field.Number field, double[] values, int unknown, double low, double high, int step) {

  /**
   * The curve of a rule at a moment; null when the rule asks nothing then, or is no bound that can
   * be moved: a word, a flag, another field.
   */
  public static @Nullable CutCurve of(
      Session session, Scan scan, int rule, IntFunction<SymbolState> states, long now) {
    Rule asked = scan.rules().get(rule);
    int phase = session.phases().indexAt(now);
    int step = asked.stepIn(phase, session.phases());
    if (step < 0
        || !(asked.field() instanceof Field.Number field)
        || !isMovable(asked.steps().get(step).bound())) {
      return null;
    }
    ScanCheck others = new ScanCheck(without(scan, rule), session);
    Field.Reading reading = RecentHits.in(field, scan.name()).bind(session);
    double[] values = new double[session.securities().size()];
    int known = 0;
    int unknown = 0;
    for (int i = 0; i < values.length; i++) {
      SymbolState state = states.apply(i);
      if (others.holds(state, now, phase)) {
        double value = reading.at(state, now);
        if (Double.isNaN(value)) {
          unknown++;
        } else {
          values[known++] = value;
        }
      }
    }
    double[] sorted = Arrays.copyOf(values, known);
    Arrays.sort(sorted);
    Bound bound = asked.steps().get(step).bound();
    double low = bound instanceof Bound.Range range ? range.low() : low(asked, bound);
    double high = bound instanceof Bound.Range range ? range.high() : high(asked, bound);
    return new CutCurve(rule, field, sorted, asked.orUnknown() ? unknown : 0, low, high, step);
  }

  private static double low(Rule rule, Bound bound) {
    return bound instanceof Bound.Amount amount ? rule.relation().low(amount.value()) : Double.NaN;
  }

  private static double high(Rule rule, Bound bound) {
    return bound instanceof Bound.Amount amount ? rule.relation().high(amount.value()) : Double.NaN;
  }

  private static boolean isMovable(Bound bound) {
    return bound instanceof Bound.Amount || bound instanceof Bound.Range;
  }

  private static Scan without(Scan scan, int rule) {
    List<Rule> rules = new ArrayList<>(scan.rules());
    rules.remove(rule);
    return scan.withRules(rules);
  }

  /** Whether the rule sets a bound from below that can be moved. */
  public boolean hasLow() {
    return low > Double.NEGATIVE_INFINITY;
  }

  /** Whether the rule sets a bound from above that can be moved. */
  public boolean hasHigh() {
    return high < Double.POSITIVE_INFINITY;
  }

  /** How many are left when values from {@code from} to {@code to} pass, both included. */
  public int left(double from, double to) {
    return Math.max(0, firstAbove(Math.nextUp(to)) - firstAbove(from)) + unknown;
  }

  /** How many are left with the rule as it is. */
  public int left() {
    return left(low, high);
  }

  /** The number of values below a bound. */
  private int firstAbove(double bound) {
    int from = 0;
    int to = values.length;
    while (from < to) {
      int middle = (from + to) >>> 1;
      if (values[middle] < bound) {
        from = middle + 1;
      } else {
        to = middle;
      }
    }
    return from;
  }
}
