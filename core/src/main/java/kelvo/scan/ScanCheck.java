package kelvo.scan;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import kelvo.field.Field;
import kelvo.field.Unit;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.rule.Bound;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.rule.SharedReadings;

/**
 * A scan made ready for one session. Rules whose answer cannot change during the session are
 * answered once for every security; only the others are asked at each event.
 */
public final class ScanCheck {
  private final Scan scan;
  private final boolean[] eligible;
  private final RuleCheck[] live;
  private final RuleCheck[][] anyOf;
  private final boolean[][] anySettled;
  private final boolean[] passing;
  private final boolean[] timed;

  /** Prepares a scan that is asked alone. */
  public ScanCheck(Scan scan, Session session) {
    this(scan, session, rule -> new RuleCheck(rule, session));
  }

  /** Prepares one of many scans that are asked together. */
  ScanCheck(Scan scan, SharedReadings shared) {
    this(scan, shared.session(), rule -> new RuleCheck(rule, shared));
  }

  private ScanCheck(Scan scan, Session session, Function<Rule, RuleCheck> checks) {
    this.scan = scan;
    int count = session.securities().size();
    eligible = new boolean[count];
    java.util.Arrays.fill(eligible, true);
    List<RuleCheck> asked = new ArrayList<>();
    for (Rule rule : scan.rules()) {
      if (settled(rule)) {
        boolean[] answers = settledAnswers(rule, session);
        for (int i = 0; i < count; i++) {
          eligible[i] &= answers[i];
        }
      } else {
        asked.add(checks.apply(rule));
      }
    }
    live = asked.toArray(new RuleCheck[0]);
    anyOf = new RuleCheck[scan.anyOf().size()][];
    anySettled = new boolean[anyOf.length][];
    for (int g = 0; g < anyOf.length; g++) {
      prepareGroup(g, scan.anyOf().get(g), session, checks);
    }
    passing = new boolean[live.length + anyOf.length];
    timed = new boolean[live.length];
    for (int i = 0; i < live.length; i++) {
      passing[i] = mayPassWithTime(live[i].rule());
      timed[i] = live[i].rule().field().pace() == Field.Pace.MINUTES;
    }
    for (int g = 0; g < anyOf.length; g++) {
      passing[live.length + g] = scan.anyOf().get(g).stream().anyMatch(ScanCheck::mayPassWithTime);
    }
  }

  private void prepareGroup(
      int group, List<Rule> rules, Session session, Function<Rule, RuleCheck> checks) {
    boolean[] settledHold = new boolean[eligible.length];
    List<RuleCheck> asked = new ArrayList<>();
    for (Rule rule : rules) {
      if (settled(rule)) {
        boolean[] answers = settledAnswers(rule, session);
        for (int i = 0; i < eligible.length; i++) {
          settledHold[i] |= answers[i];
        }
      } else {
        asked.add(checks.apply(rule));
      }
    }
    anyOf[group] = asked.toArray(new RuleCheck[0]);
    anySettled[group] = settledHold;
  }

  /** Whether a rule's answer stays the same all session. */
  private static boolean settled(Rule rule) {
    return paces(rule).stream().allMatch(p -> p == Field.Pace.FIXED)
        && rule.steps().stream().allMatch(step -> step.phase().isEmpty());
  }

  private static List<Field.Pace> paces(Rule rule) {
    List<Field.Pace> paces = new ArrayList<>();
    paces.add(rule.field().pace());
    for (Rule.Step step : rule.steps()) {
      if (step.bound() instanceof Bound.Times times) {
        paces.add(times.field().pace());
      }
    }
    return paces;
  }

  /** The answers of a rule that is {@link #settled}, by security. */
  private static boolean[] settledAnswers(Rule rule, Session session) {
    boolean[] answers = new boolean[session.securities().size()];
    RuleCheck check = new RuleCheck(rule, session);
    for (int i = 0; i < answers.length; i++) {
      answers[i] = check.passes(session.freshState(i), 0, 0);
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
        .anyMatch(rule -> paces(rule).contains(pace));
  }

  /** Whether every rule holds, those that cannot change included. */
  public boolean holds(SymbolState state, long now, int phase) {
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
  List<RuleCheck> live() {
    return List.of(live);
  }

  /**
   * The place of the first group of which no rule holds, counted on from the rules that can change;
   * -1 when there is none.
   */
  int failingGroup(SymbolState state, long now, int phase) {
    for (int g = 0; g < anyOf.length; g++) {
      if (!groupHolds(g, state, now, phase)) {
        return live.length + g;
      }
    }
    return -1;
  }

  /** Whether no rule holds of the group at a place given by {@link #failingGroup}. */
  boolean groupFails(int place, SymbolState state, long now, int phase) {
    return !groupHolds(place - live.length, state, now, phase);
  }

  /** Whether the rule or group at a place may hold later without an event. */
  boolean mayPassWithTime(int place) {
    return place >= 0 && passing[place];
  }

  /** Whether any rule or group may hold later without an event. */
  boolean mayOpenWithTime() {
    for (boolean one : passing) {
      if (one) {
        return true;
      }
    }
    return false;
  }

  /** A value that time can only lower never reaches a bound from below by itself. */
  private static boolean mayPassWithTime(Rule rule) {
    boolean more = rule.steps().stream().allMatch(step -> asksForMore(rule, step.bound()));
    return paces(rule).stream()
        .anyMatch(
            p ->
                switch (p) {
                  case LAST_MINUTE, LAST_FIVE_MINUTES, FALLING -> !more;
                  case CLOCK -> true;
                  case FIXED, EVENTS, QUOTES, MINUTES -> false;
                });
  }

  /** Whether a value that can only fall never comes to meet a bound. */
  private static boolean asksForMore(Rule rule, Bound bound) {
    return bound instanceof Bound.Amount amount
        && switch (rule.relation()) {
          case AT_LEAST, ABOVE -> true;
          case IS -> rule.field().unit() == Unit.FLAG && amount.value() == 1;
          default -> false;
        };
  }

  /** Whether the rule at a place depends on the minutes since news. */
  boolean isTimed(int place) {
    return place >= 0 && place < live.length && timed[place];
  }

  private boolean groupHolds(int group, SymbolState state, long now, int phase) {
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
