package kelvo.data.research;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kelvo.field.Field;
import kelvo.rule.Bound;
import kelvo.rule.Relation;
import kelvo.rule.Rule;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;

/** Rules as conditions of SQL, each true or false and never unknown. */
final class RuleSql {
  private static final int CLOSE = (int) (SessionHours.USUAL_CLOSE / DayTime.MINUTE);

  private final Phases phases;

  /**
   * Rules by phases.
   *
   * @param phases those of a full session
   */
  RuleSql(Phases phases) {
    this.phases = phases;
  }

  /** Whether SQL can tell a rule. */
  static boolean tells(Rule rule) {
    return rule.fields().stream().allMatch(field -> FieldSql.of(field).isPresent());
  }

  /** Rules of which all must hold. */
  String all(List<Rule> rules) {
    return rules.isEmpty()
        ? "true"
        : rules.stream().map(this::of).collect(Collectors.joining("\n      and "));
  }

  /** Rules of which one must hold. */
  String any(List<Rule> rules) {
    return rules.stream().map(this::of).collect(Collectors.joining(" or ", "(", ")"));
  }

  /** One rule. */
  String of(Rule rule) {
    if (rule.steps().size() == 1 && rule.steps().getFirst().phase().isEmpty()) {
      return condition(rule, rule.steps().getFirst().bound());
    }
    StringBuilder sql = new StringBuilder("case");
    for (Rule.Step step : rule.steps().reversed()) {
      sql.append(" when moment >= ")
          .append(start(step.phase()))
          .append(" then ")
          .append(condition(rule, step.bound()));
    }
    return sql.append(" else true end").toString();
  }

  /** When a phase begins in a session that may close early, in minutes of the day. */
  private String start(String phase) {
    int place = phases.indexOf(phase).orElse(0);
    int start = place == 0 ? 0 : (int) (phases.all().get(place).start() / DayTime.MINUTE);
    return start <= CLOSE && start > 0
        ? "least(" + start + ", close_minute)"
        : String.valueOf(start);
  }

  private static String condition(Rule rule, Bound bound) {
    String field = expression(rule.field());
    String known = "coalesce(" + compared(rule, field, bound) + ", false)";
    return rule.orUnknown() ? "(" + known + " or " + field + " is null)" : known;
  }

  private static String compared(Rule rule, String field, Bound bound) {
    return switch (bound) {
      case Bound.Amount amount -> field + sign(rule.relation()) + number(amount.value());
      case Bound.Range range ->
          field + " between " + number(range.low()) + " and " + number(range.high());
      case Bound.OtherField other ->
          field
              + sign(rule.relation())
              + "("
              + number(other.factor())
              + " * "
              + expression(other.field())
              + " + "
              + number(other.points())
              + ")";
      case Bound.Words words ->
          "nullif("
              + field
              + ", '')"
              + (rule.relation() == Relation.IS_NOT ? " not in (" : " in (")
              + words.all().stream().map(RuleSql::text).collect(Collectors.joining(", "))
              + ")";
    };
  }

  private static String sign(Relation relation) {
    return switch (relation) {
      case AT_LEAST -> " >= ";
      case AT_MOST -> " <= ";
      case ABOVE -> " > ";
      case BELOW -> " < ";
      case IS_NOT -> " <> ";
      case IS, IS_ONE_OF, BETWEEN -> " = ";
    };
  }

  /** That a session's totals do not rule out a rule; empty when they never do. */
  Optional<String> byTotals(Rule rule) {
    if (rule.orUnknown() || rule.steps().size() > 1 || !rule.steps().getFirst().phase().isEmpty()) {
      return Optional.empty();
    }
    Rule.Interval interval = rule.intervalIn(0, phases).orElse(null);
    return interval == null
        ? Optional.empty()
        : FieldSql.totals(rule.field())
            .map(
                ends ->
                    Double.isInfinite(interval.high())
                        ? ends[1] + " >= " + number(interval.low())
                        : Double.isInfinite(interval.low())
                            ? ends[0] + " <= " + number(interval.high())
                            : "("
                                + ends[1]
                                + " >= "
                                + number(interval.low())
                                + " and "
                                + ends[0]
                                + " <= "
                                + number(interval.high())
                                + ")");
  }

  private static String expression(Field field) {
    return FieldSql.of(field).orElseThrow();
  }

  /** A double as a literal of which no engine makes a decimal. */
  static String number(double value) {
    String text = Double.toString(value);
    return text.contains("E") ? text : text + "e0";
  }

  /** A text as a literal. */
  static String text(String text) {
    return "'" + text.replace("'", "''") + "'";
  }
}
