package kelvo.rule;

import java.util.Arrays;
import java.util.List;
import kelvo.field.Field;
import kelvo.market.SymbolState;

/**
 * Many rules laid out for one phase as bounds side by side, so that asking one touches next to no
 * memory of its own: most rules are an interval that a field's value must lie in. Owned by one
 * thread; does not allocate when asked.
 */
public final class RuleTable {
  private static final int NO_PHASE = -1;

  /** The field's place stands for a rule that is no plain interval in this phase. */
  private static final int ASK_THE_RULE = -1;

  private final RuleCheck[] rules;
  private final SharedReadings shared;
  private final int[] fields;
  private final double[] lows;
  private final double[] highs;
  private int phase = NO_PHASE;

  /** Rules made ready with the same readings. */
  public RuleTable(List<RuleCheck> rules, SharedReadings shared) {
    this.rules = rules.toArray(RuleCheck[]::new);
    this.shared = shared;
    fields = new int[this.rules.length];
    lows = new double[this.rules.length];
    highs = new double[this.rules.length];
  }

  /** Lays the rules out for a phase, unless they lie so already. */
  public void layFor(int newPhase) {
    if (newPhase == phase) {
      return;
    }
    phase = newPhase;
    Arrays.fill(fields, ASK_THE_RULE);
    for (int i = 0; i < rules.length; i++) {
      if (rules[i].isIntervalIn(phase) && rules[i].rule().field() instanceof Field.Number field) {
        fields[i] = shared.placeOf(field);
        lows[i] = rules[i].lowIn(phase);
        highs[i] = rules[i].highIn(phase);
      }
    }
  }

  /** Whether a rule holds for the security that is asked about. */
  public boolean passes(int rule, SymbolState state, long now) {
    int field = fields[rule];
    if (field == ASK_THE_RULE) {
      return rules[rule].passes(state, now, phase);
    }
    double value = shared.value(field, state, now);
    return value >= lows[rule] && value <= highs[rule];
  }
}
