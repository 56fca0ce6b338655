package kelvo.explain;

import java.util.List;
import java.util.OptionalInt;
import java.util.function.IntFunction;
import kelvo.field.StateValues;
import kelvo.rule.RuleCheck;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import org.jspecify.annotations.Nullable;

/**
 * What each rule of a scan does at a moment, for whoever works on it.
 *
 * @param scan what was asked
 * @param counts how many pass each group and then each rule alone, and how many are left after it
 * @param curve how many would be left at every bound of one rule; null when it has no bound to move
 * @param focus what each rule says of the symbol in focus, in the scan's order; empty without one
 * @param contradictions rules that cannot hold together, a sentence each
 */
public record ScanWorkings(
    Scan scan,
    List<WhyEmpty.Count> counts,
    @Nullable CutCurve curve,
    List<RuleCheck.Answer> focus,
    List<String> contradictions) {
  /**
   * The workings at a moment; {@code rule} is the place of the rule with the curve, {@code focus}
   * the security asked about.
   */
  public static ScanWorkings of(
      Session session,
      Scan scan,
      int rule,
      OptionalInt focus,
      IntFunction<SymbolState> states,
      long now) {
    return new ScanWorkings(
        scan,
        WhyEmpty.of(session, scan, states, now).counts(),
        rule < scan.rules().size() ? CutCurve.of(session, scan, rule, states, now) : null,
        focus.isEmpty() ? List.of() : answers(session, scan, states.apply(focus.getAsInt()), now),
        Contradictions.of(scan, session.phases()));
  }

  private static List<RuleCheck.Answer> answers(
      Session session, Scan scan, SymbolState state, long now) {
    int phase = session.phases().indexAt(now);
    return scan.rules().stream()
        .map(rule -> new RuleCheck(rule.in(scan.name()), new StateValues(session)))
        .map(check -> check.answer(state, now, phase))
        .toList();
  }
}
