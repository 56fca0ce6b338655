package kelvo.scan;

import java.util.List;
import java.util.function.IntFunction;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import org.jspecify.annotations.Nullable;

/**
 * What each rule of a scan does at a moment, for whoever works on it.
 *
 * @param scan what was asked
 * @param counts how many pass each rule alone, and how many are left after it
 * @param curve how many would be left at every bound of one rule; null when it has no bound to move
 * @param contradictions rules that cannot hold together, a sentence each
 */
public record ScanWorkings(
    Scan scan, List<WhyEmpty.Count> counts, @Nullable CutCurve curve, List<String> contradictions) {
  /** The workings at a moment; {@code rule} is the place of the rule with the curve. */
  public static ScanWorkings of(
      Session session, Scan scan, int rule, IntFunction<SymbolState> states, long now) {
    return new ScanWorkings(
        scan,
        WhyEmpty.of(session, scan, states, now).counts(),
        rule < scan.rules().size() ? CutCurve.of(session, scan, rule, states, now) : null,
        Contradictions.of(scan, session.phases()));
  }
}
