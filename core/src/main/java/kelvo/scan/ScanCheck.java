package kelvo.scan;

import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.field.StateValues;
import kelvo.field.Values;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.session.Session;
import kelvo.state.Subject;
import kelvo.universe.Membership;

/**
 * A scan made ready for one source of values. Rules whose answer cannot change during the session
 * are answered once for every security; only the others are asked at each event.
 */
public final class ScanCheck {
  private final Scan scan;
  private final boolean[] eligible;
  private final RuleCheck[] live;
  private final RuleCheck[][] anyOf;
  private final boolean[][] anySettled;
  private final boolean[] groupPassing;

  /** Prepares a scan that is asked of live states, alone. */
  public ScanCheck(Scan scan, Session session) {
    this(scan, new StateValues(session));
  }

  /** Prepares a scan; those that are asked together share their values. */
  public ScanCheck(Scan scan, Values values) {
    this.scan = scan;
    int count = values.size();
    eligible = new boolean[count];
    Membership members = Membership.of(scan.universe(), values.alone());
    for (int i = 0; i < count; i++) {
      eligible[i] = members.contains(i);
    }
    List<RuleCheck> asked = new ArrayList<>();
    for (Rule rule : scan.rules()) {
      if (rule.isSettled()) {
        boolean[] answers = settledAnswers(rule, values);
        for (int i = 0; i < count; i++) {
          eligible[i] &= answers[i];
        }
      } else {
        asked.add(new RuleCheck(rule.in(scan.name()), values));
      }
    }
    live = asked.toArray(new RuleCheck[0]);
    anyOf = new RuleCheck[scan.anyOf().size()][];
    anySettled = new boolean[anyOf.length][];
    for (int g = 0; g < anyOf.length; g++) {
      prepareGroup(g, scan.anyOf().get(g), values);
    }
    groupPassing = new boolean[anyOf.length];
    for (int g = 0; g < anyOf.length; g++) {
      groupPassing[g] = scan.anyOf().get(g).stream().anyMatch(Rule::mayPassWithTime);
    }
  }

  private void prepareGroup(int group, List<Rule> rules, Values values) {
    boolean[] settledHold = new boolean[eligible.length];
    List<RuleCheck> asked = new ArrayList<>();
    for (Rule rule : rules) {
      if (rule.isSettled()) {
        boolean[] answers = settledAnswers(rule, values);
        for (int i = 0; i < eligible.length; i++) {
          settledHold[i] |= answers[i];
        }
      } else {
        asked.add(new RuleCheck(rule.in(scan.name()), values));
      }
    }
    anyOf[group] = asked.toArray(new RuleCheck[0]);
    anySettled[group] = settledHold;
  }

  /** The answers of a rule that is {@link Rule#isSettled settled}, by security. */
  private static boolean[] settledAnswers(Rule rule, Values values) {
    boolean[] answers = new boolean[values.size()];
    RuleCheck check = new RuleCheck(rule, values.alone());
    for (int i = 0; i < answers.length; i++) {
      answers[i] = check.passes(values.settled(i), 0, 0);
    }
    return answers;
  }

  /** The scan. */
  public Scan scan() {
    return scan;
  }

  /** Whether the rules that cannot change let a security through. */
  public boolean eligible(int security) {
    return eligible[security];
  }

  /** Whether some rule depends on a field of this pace. */
  public boolean dependsOn(Field.Pace pace) {
    return java.util.stream.Stream.concat(
            scan.rules().stream(), scan.anyOf().stream().flatMap(List::stream))
        .anyMatch(rule -> rule.paces().contains(pace));
  }

  /** Whether every rule holds, those that cannot change included. */
  public boolean holds(Subject state, long now, int phase) {
    if (!eligible[state.id()]) {
      return false;
    }
    for (RuleCheck check : live) {
      if (!check.passes(state, now, phase)) {
        return false;
      }
    }
    return failingGroup(state, now, phase) < 0;
  }

  /** The rules that can change, outside groups. */
  public List<RuleCheck> live() {
    return List.of(live);
  }

  /** The place of the first group of which no rule holds; -1 when there is none. */
  public int failingGroup(Subject state, long now, int phase) {
    for (int g = 0; g < anyOf.length; g++) {
      if (!groupHolds(g, state, now, phase)) {
        return g;
      }
    }
    return -1;
  }

  /** Whether it has groups of which one rule must hold. */
  public boolean hasGroups() {
    return anyOf.length > 0;
  }

  /** Whether the group at a place may come to hold without an event. */
  public boolean groupMayPassWithTime(int group) {
    return groupPassing[group];
  }

  private boolean groupHolds(int group, Subject state, long now, int phase) {
    if (anySettled[group][state.id()]) {
      return true;
    }
    for (RuleCheck check : anyOf[group]) {
      if (check.passes(state, now, phase)) {
        return true;
      }
    }
    return false;
  }
}
