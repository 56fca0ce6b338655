package kelvo.check;

import java.util.ArrayList;
import java.util.List;
import kelvo.check.Check.Result;
import kelvo.field.Field;
import kelvo.field.StateValues;
import kelvo.history.CorporateAction;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import org.jspecify.annotations.Nullable;

/** The checks of the morning made ready for a session. Owned by one thread. */
public final class Checks {
  private final Session session;
  private final List<CheckRule> rules;
  private final List<Prepared> prepared;

  private record Prepared(CheckRule rule, List<RuleCheck> pass, @Nullable RuleCheck fail) {}

  /** Checks for a session. */
  public Checks(Session session, List<CheckRule> rules) {
    this.session = session;
    this.rules = List.copyOf(rules);
    prepared = this.rules.stream().map(this::prepared).toList();
  }

  private Prepared prepared(CheckRule rule) {
    Rule fail = rule.fail();
    return new Prepared(
        rule,
        rule.pass().stream().map(way -> new RuleCheck(way, new StateValues(session))).toList(),
        fail == null ? null : new RuleCheck(fail, new StateValues(session)));
  }

  /** What is asked. */
  public List<CheckRule> rules() {
    return rules;
  }

  /** All checks of a security at a moment, in the trader's order. */
  public List<Check> of(SymbolState state, long now) {
    int phase = session.phases().indexAt(now);
    List<Check> checks = new ArrayList<>();
    for (Prepared one : prepared) {
      checks.add(
          new Check(one.rule.name(), result(one, state, now, phase), detail(one, state, now)));
    }
    return checks;
  }

  private static Result result(Prepared one, SymbolState state, long now, int phase) {
    if (one.pass.stream().anyMatch(way -> way.passes(state, now, phase))) {
      return Result.PASS;
    }
    if (one.fail != null && one.fail.passes(state, now, phase)) {
      return Result.FAIL;
    }
    boolean unknown = one.pass.getFirst().value(state, now).isEmpty();
    return unknown && !isAboutNews(one) ? Result.UNKNOWN : Result.WARN;
  }

  /** No news is an answer, not a gap in the data. */
  private static boolean isAboutNews(Prepared one) {
    return field(one).pace() == Field.Pace.MINUTES;
  }

  private static Field field(Prepared one) {
    return one.rule.pass().getFirst().field();
  }

  private String detail(Prepared one, SymbolState state, long now) {
    CorporateAction split = session.security(state.id()).recentSplit();
    Field field = field(one);
    if (field.words().equals("split flag") && split != null) {
      return split.words() + " on " + split.date();
    }
    String value = one.pass.getFirst().shown(state, now);
    return value.isEmpty() ? isAboutNews(one) ? "no item names it" : "unknown" : value;
  }
}
