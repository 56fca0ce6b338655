package kelvo.explain;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import kelvo.field.StateValues;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.rule.RuleSentence;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import kelvo.universe.Membership;

/**
 * Why a scan's list is as short as it is.
 *
 * @param counts for each group and then each rule, how many of the scan's universe pass it alone
 *     and how many are left after it
 * @param sentence the answer in words
 */
public record WhyEmpty(List<Count> counts, String sentence) {
  /** One rule's share in the answer. */
  public record Count(String rule, int alone, int left) {}

  /** The answer at a moment; {@code states} gives each security's state then. */
  public static WhyEmpty of(Session session, Scan scan, IntFunction<SymbolState> states, long now) {
    int phase = session.phases().indexAt(now);
    Membership members = Membership.of(scan.universe(), session);
    boolean[] left = new boolean[session.securities().size()];
    for (int i = 0; i < left.length; i++) {
      left[i] = members.contains(i);
    }
    List<Count> counts = new ArrayList<>();
    List<List<Rule>> groups = new ArrayList<>(scan.anyOf());
    scan.rules().forEach(rule -> groups.add(List.of(rule)));
    for (List<Rule> group : groups) {
      boolean[] passes = new boolean[left.length];
      group.forEach(rule -> mark(rule.in(scan.name()), session, states, now, phase, passes));
      int alone = 0;
      int remaining = 0;
      for (int i = 0; i < left.length; i++) {
        left[i] &= passes[i];
        alone += passes[i] && members.contains(i) ? 1 : 0;
        remaining += left[i] ? 1 : 0;
      }
      counts.add(new Count(RuleSentence.ofAny(group), alone, remaining));
    }
    return new WhyEmpty(List.copyOf(counts), sentence(scan, counts, now, session));
  }

  private static void mark(
      Rule rule,
      Session session,
      IntFunction<SymbolState> states,
      long now,
      int phase,
      boolean[] passes) {
    RuleCheck check = new RuleCheck(rule, new StateValues(session));
    for (int i = 0; i < passes.length; i++) {
      passes[i] |= check.passes(states.apply(i), now, phase);
    }
  }

  private static String sentence(Scan scan, List<Count> counts, long now, Session session) {
    if (!scan.open(now)) {
      return "\""
          + scan.name()
          + "\" looks from "
          + DayTime.minutes(scan.from())
          + " to "
          + DayTime.minutes(scan.to())
          + "; it is "
          + DayTime.minutes(now)
          + ".";
    }
    for (Count count : counts) {
      if (count.left() == 0) {
        boolean sliding =
            count.rule().startsWith("volume 5m") || count.rule().startsWith("trades 5m");
        String closed =
            sliding && now >= session.hours().close()
                ? " The market is closed, so nothing trades."
                : "";
        return "\""
            + count.rule()
            + "\" leaves nothing: "
            + count.alone()
            + " pass it alone."
            + closed;
      }
    }
    return counts.isEmpty() ? "There are no rules." : counts.getLast().left() + " fit.";
  }
}
