package kelvo.scan;

import java.util.ArrayList;
import java.util.List;
import kelvo.field.Field;
import kelvo.market.EventTape;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.time.DayTime;

/**
 * Why a security is not in a scan: rule by rule, with the time at which each last held. Plays the
 * security's own events up to the moment of the question, since rules look at nothing else.
 */
public final class WhyNot {
  private final Session session;
  private final SymbolState state;
  private final List<Asked> asked = new ArrayList<>();

  private static final class Asked {
    final Rule rule;
    final boolean[] settled;
    final RuleCheck[] check;
    long lastPassed = -1;

    Asked(Rule rule, Session session) {
      this.rule = rule;
      settled =
          rule.field() instanceof Field.Word
              ? ScanCheck.settledAnswers(rule, session)
              : new boolean[0];
      check =
          rule.field() instanceof Field.Word
              ? new RuleCheck[0]
              : new RuleCheck[] {new RuleCheck(rule, session)};
    }

    boolean passes(SymbolState state, long now, int phase) {
      return check.length == 0 ? settled[state.id()] : check[0].passes(state, now, phase);
    }
  }

  private WhyNot(Session session, Scan scan, int security) {
    this.session = session;
    state = session.freshState(security);
    scan.rules().forEach(rule -> asked.add(new Asked(rule, session)));
    scan.anyOf().forEach(group -> group.forEach(rule -> asked.add(new Asked(rule, session))));
  }

  /** The answer of every rule of a scan about a security at a moment, in the scan's order. */
  public static List<RuleAnswer> explain(Session session, Scan scan, int security, long moment) {
    WhyNot whyNot = new WhyNot(session, scan, security);
    whyNot.play(moment);
    return whyNot.answers(moment);
  }

  private void play(long moment) {
    EventTape tape = session.tape();
    long second = DayTime.FIRST;
    for (int event : tape.eventsOf(state.id(), tape.countUntil(moment))) {
      for (; second <= tape.time(event); second += DayTime.SECOND) {
        ask(second);
      }
      state.apply(state.market(), event);
      ask(Math.max(tape.time(event), DayTime.FIRST));
    }
    for (; second <= moment; second += DayTime.SECOND) {
      ask(second);
    }
    ask(moment);
  }

  private void ask(long now) {
    int phase = session.phases().indexAt(now);
    for (Asked one : asked) {
      if (one.passes(state, now, phase)) {
        one.lastPassed = now;
      }
    }
  }

  private List<RuleAnswer> answers(long now) {
    int phase = session.phases().indexAt(now);
    List<RuleAnswer> answers = new ArrayList<>();
    for (Asked one : asked) {
      String value =
          switch (one.rule.field()) {
            case Field.Word word -> word.of(session.security(state.id()));
            case Field.Number number -> number.unit().plain(one.check[0].value(state, now));
          };
      String bound =
          one.check.length == 0
              ? one.rule.relation().words() + " " + one.rule.steps().getFirst().bound().words()
              : one.check[0].boundWords(state, now, phase);
      answers.add(
          new RuleAnswer(
              one.rule.sentence(), value, bound, one.passes(state, now, phase), one.lastPassed));
    }
    return answers;
  }
}
