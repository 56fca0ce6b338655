package kelvo.explain;

import java.util.ArrayList;
import java.util.List;
import kelvo.field.StateValues;
import kelvo.hit.Program;
import kelvo.hit.ScanEngine;
import kelvo.replay.TapeListener;
import kelvo.replay.TapeReplay;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import kelvo.universe.Membership;
import kelvo.universe.Universe;

/**
 * Why a security is not in a scan: rule by rule, with the time at which each last held. Plays the
 * session up to the moment of the question, the whole market of it, since rules may look at that.
 */
public final class WhyNot implements TapeListener {
  private final Session session;
  private final TapeReplay replay;
  private final Scan scan;
  private final SymbolState state;
  private final List<Asked> asked = new ArrayList<>();

  private static final class Asked {
    final Rule rule;
    final RuleCheck check;
    long lastPassed = -1;

    Asked(Rule rule, String scan, Session session) {
      this.rule = rule;
      check = new RuleCheck(rule.in(scan), new StateValues(session));
    }
  }

  private WhyNot(Session session, Scan scan, int security) {
    this.session = session;
    this.scan = scan;
    replay = new TapeReplay(session);
    state = replay.state(security);
    scan.rules().forEach(rule -> asked.add(new Asked(rule, scan.name(), session)));
    scan.anyOf()
        .forEach(group -> group.forEach(rule -> asked.add(new Asked(rule, scan.name(), session))));
  }

  /** The answer of every rule of a scan about a security at a moment, in the scan's order. */
  public static List<RuleAnswer> explain(Session session, Scan scan, int security, long moment) {
    WhyNot whyNot = new WhyNot(session, scan, security);
    whyNot.play(moment);
    List<RuleAnswer> answers = whyNot.answers(moment);
    if (!scan.universe().equals(Universe.EVERYONE)) {
      answers.addFirst(ofUniverse(scan.universe(), session, security, moment));
    }
    return answers;
  }

  private static RuleAnswer ofUniverse(
      Universe universe, Session session, int security, long moment) {
    String out = Membership.of(universe, session).whyOut(security);
    return new RuleAnswer(
        "in universe " + universe.name(),
        out.isEmpty() ? "yes" : out,
        "is yes",
        out.isEmpty(),
        out.isEmpty() ? moment : -1);
  }

  private void play(long moment) {
    replay.listen(
        ScanEngine.followsHits(scan)
            ? TapeListener.both(
                new ScanEngine(replay, new Program(List.of(scan), List.of()), hit -> {}), this)
            : this);
    replay.runTo(moment);
    ask(moment);
  }

  @Override
  public void applied(SymbolState changed, int effects, int event, long now) {
    if (changed == state) {
      ask(Math.max(now, DayTime.FIRST));
    }
  }

  @Override
  public void second(long moment) {
    ask(moment);
  }

  private void ask(long now) {
    int phase = session.phases().indexAt(now);
    for (Asked one : asked) {
      if (one.check.passes(state, now, phase)) {
        one.lastPassed = now;
      }
    }
  }

  private List<RuleAnswer> answers(long now) {
    int phase = session.phases().indexAt(now);
    List<RuleAnswer> answers = new ArrayList<>();
    for (Asked one : asked) {
      answers.add(
          new RuleAnswer(
              one.rule.sentence(),
              one.check.value(state, now),
              one.check.boundWords(state, now, phase),
              one.check.passes(state, now, phase),
              one.lastPassed));
    }
    return answers;
  }
}
