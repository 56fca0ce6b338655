package kelvo.review;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.field.StateValues;
import kelvo.hit.Hit;
import kelvo.review.WhyNotFound.Answer;
import kelvo.review.WhyNotFound.Strip;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;

/** Asks every rule as each minute ends. */
final class RuleStrips implements SymbolWatcher {
  private final Session session;
  private final Scan scan;
  private final Map<String, List<RuleCheck>> checks = new LinkedHashMap<>();
  private final Map<String, List<Answer>> answers = new LinkedHashMap<>();
  private @Nullable SymbolState state;

  RuleStrips(Session session, Scan scan) {
    this.session = session;
    this.scan = scan;
    StateValues values = new StateValues(session);
    scan.rules()
        .forEach(
            rule ->
                checks.put(rule.sentence(), List.of(new RuleCheck(rule.in(scan.name()), values))));
    scan.anyOf()
        .forEach(
            group ->
                checks.put(
                    String.join(" or ", group.stream().map(Rule::sentence).toList()),
                    group.stream()
                        .map(rule -> new RuleCheck(rule.in(scan.name()), values))
                        .toList()));
  }

  /** Whom to ask about, before anything is heard. */
  @Override
  public void look(SymbolState asked) {
    state = asked;
  }

  @Override
  public void applied(SymbolState changed, int effects, int event, long now) {}

  @Override
  public void second(long moment) {
    SymbolState asked = state;
    if (asked != null && moment % DayTime.MINUTE == 0 && moment > DayTime.FIRST) {
      long minute = moment - DayTime.MINUTE;
      int phase = session.phases().indexAt(minute);
      checks.forEach(
          (sentence, rules) ->
              answers
                  .computeIfAbsent(sentence, s -> new ArrayList<>())
                  .add(answer(rules, asked, moment, minute, phase)));
    }
  }

  private Answer answer(
      List<RuleCheck> rules, SymbolState asked, long moment, long minute, int phase) {
    if (!scan.open(minute)) {
      return Answer.NOT_ASKED;
    }
    return rules.stream().anyMatch(rule -> rule.passes(asked, moment, phase))
        ? Answer.PASSES
        : Answer.FAILS;
  }

  /**
   * The strips of the rules, and one of the triggers unless the scan only waits for its rules.
   *
   * @param fired the hits of the triggers alone
   */
  List<Strip> strips(List<Hit> fired) {
    List<Strip> strips = new ArrayList<>();
    answers.forEach((sentence, minutes) -> strips.add(new Strip(sentence, minutes)));
    if (!WhyNotFound.waitsForTriggers(scan)) {
      return strips;
    }
    int count = answers.isEmpty() ? 0 : answers.values().iterator().next().size();
    Set<Long> minutes = new HashSet<>();
    fired.forEach(hit -> minutes.add((hit.at() - DayTime.FIRST) / DayTime.MINUTE));
    List<Answer> fires = new ArrayList<>();
    for (long i = 0; i < count; i++) {
      fires.add(
          !scan.open(DayTime.FIRST + i * DayTime.MINUTE)
              ? Answer.NOT_ASKED
              : minutes.contains(i) ? Answer.PASSES : Answer.FAILS);
    }
    strips.add(
        new Strip(
            String.join(" or ", scan.triggers().stream().map(t -> t.words()).toList()), fires));
    return strips;
  }
}
