package kelvo.scan;

import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.field.Unit;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.rule.Bound;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;

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

  /** Prepares a scan. */
  public ScanCheck(Scan scan, Session session) {
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
        asked.add(new RuleCheck(rule, session));
      }
    }
    live = asked.toArray(new RuleCheck[0]);
    anyOf = new RuleCheck[scan.anyOf().size()][];
    anySettled = new boolean[anyOf.length][];
    for (int g = 0; g < anyOf.length; g++) {
      prepareGroup(g, scan.anyOf().get(g), session);
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

  private void prepareGroup(int group, List<Rule> rules, Session session) {
    boolean[] settledHold = new boolean[eligible.length];
    List<RuleCheck> asked = new ArrayList<>();
    for (Rule rule : rules) {
      if (settled(rule)) {
        boolean[] answers = settledAnswers(rule, session);
        for (int i = 0; i < eligible.length; i++) {
          settledHold[i] |= answers[i];
        }
      } else {
        asked.add(new RuleCheck(rule, session));
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
    return eligible[state.id()] && firstFailing(state, now, phase) < 0;
  }

  /**
   * The place of the first failing rule among those that can change; -1 when all hold.
   *
   * @see #fails
   */
  int firstFailing(SymbolState state, long now, int phase) {
    for (int i = 0; i < live.length; i++) {
      if (!live[i].passes(state, now, phase)) {
        return i;
      }
    }
    for (int g = 0; g < anyOf.length; g++) {
      if (!groupHolds(g, state, now, phase)) {
        return live.length + g;
      }
    }
    return -1;
  }

  /** Whether the rule at a place given by {@link #firstFailing} fails now. */
  boolean fails(int place, SymbolState state, long now, int phase) {
    return place < live.length
        ? !live[place].passes(state, now, phase)
        : !groupHolds(place - live.length, state, now, phase);
  }

  /** Whether the rule at a place given by {@link #firstFailing} may hold later without an event. */
  boolean mayPassWithTime(int place) {
    return place >= 0 && passing[place];
  }

  /** A value that time can only lower never reaches a bound from below by itself. */
  private static boolean mayPassWithTime(Rule rule) {
    boolean more = rule.steps().stream().allMatch(step -> asksForMore(rule, step.bound()));
    if (rule.field().pace() == Field.Pace.FALLING && more) {
      return false;
    }
    return paces(rule).stream()
        .anyMatch(
            p ->
                switch (p) {
                  case LAST_MINUTE, LAST_FIVE_MINUTES, FALLING, CLOCK -> true;
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

  /**
   * Whether the rule at a place given by {@link #firstFailing} depends on the minutes since news.
   */
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
