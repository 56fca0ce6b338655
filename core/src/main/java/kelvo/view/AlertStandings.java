package kelvo.view;

import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import kelvo.alert.About;
import kelvo.alert.Alert;
import kelvo.alert.AttentionOverDay;
import kelvo.field.StateValues;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** Works out how the trader's alerts stand at a moment. */
final class AlertStandings {
  private final Session session;
  private final AttentionOverDay attention;
  private final StateValues values;
  private final Map<Rule, RuleCheck> checks = new HashMap<>();

  AlertStandings(Session session, AttentionOverDay attention) {
    this.session = session;
    this.attention = attention;
    values = new StateValues(session);
  }

  /** How they stand, in the order in which they were made. */
  List<AlertStanding> at(Moment moment, List<RangView.Rung> rings) {
    return attention.alerts().stream().map(alert -> of(alert, moment, rings)).toList();
  }

  private AlertStanding of(Alert alert, Moment moment, List<RangView.Rung> rings) {
    List<RangView.Rung> own =
        rings.stream().filter(rung -> rung.ring().event().source().equals(alert.name())).toList();
    long lastAt = own.isEmpty() ? -1 : own.getFirst().ring().event().at();
    return new AlertStanding(
        alert,
        state(alert, moment, lastAt),
        distance(alert, moment),
        own.size(),
        lastAt,
        Aftermath.mean(own.stream().map(RangView.Rung::after).toList()));
  }

  private AlertStanding.State state(Alert alert, Moment moment, long lastAt) {
    LocalDateTime now = session.hours().date().atTime(LocalTime.ofNanoOfDay(moment.now()));
    boolean isOver = alert.until() != null && now.toLocalDate().isAfter(alert.until());
    if (isOver) {
      return AlertStanding.State.OVER;
    }
    if (alert.endsWithItsRing() && hasRung(alert, now, lastAt)) {
      return AlertStanding.State.SPENT;
    }
    if (alert.about() instanceof About.Symbol one && session.numberOf(one.symbol()).isEmpty()) {
      return AlertStanding.State.NOBODY;
    }
    if (alert.armedAt(now).isPresent()) {
      return AlertStanding.State.ARMED;
    }
    return alert.armed().stream().anyMatch(span -> span.from().isAfter(now))
        ? AlertStanding.State.SNOOZED
        : AlertStanding.State.OFF;
  }

  /** Since it was last armed. */
  private static boolean hasRung(Alert alert, LocalDateTime now, long lastAt) {
    if (alert.spentOn() != null && alert.spentOn().isBefore(now.toLocalDate())) {
      return true;
    }
    LocalDateTime rang = now.toLocalDate().atTime(LocalTime.ofNanoOfDay(Math.max(0, lastAt)));
    return lastAt >= 0 && alert.armedAt(now).equals(alert.armedAt(rang));
  }

  /** The per cent to a price, else the value of the first rule that does not hold. */
  private String distance(Alert alert, Moment moment) {
    OptionalInt security =
        alert.about() instanceof About.Symbol one
            ? session.numberOf(one.symbol())
            : OptionalInt.empty();
    if (security.isEmpty()) {
      return "";
    }
    SymbolState state = moment.state(security.getAsInt());
    double wanted = alert.when().price();
    if (!Double.isNaN(wanted) && state.price() != Price.NONE) {
      double percent = 100 * (wanted / Price.dollars(state.price()) - 1);
      return String.format(Locale.ROOT, "%+.1f%%", percent);
    }
    for (Rule rule : alert.when().rules()) {
      RuleCheck check = checks.computeIfAbsent(rule, each -> new RuleCheck(each, values));
      RuleCheck.Answer answer = check.answer(state, moment.now(), moment.phase());
      if (!answer.passes()) {
        return rule.field().words() + " " + (answer.value().isEmpty() ? "unknown" : answer.value());
      }
    }
    return alert.when().rules().isEmpty() ? "" : "holds";
  }
}
