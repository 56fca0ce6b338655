package kelvo.view;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.field.StateValues;
import kelvo.field.Unit;
import kelvo.news.Catalyst;
import kelvo.news.CatalystRule;
import kelvo.refusal.RefusedException;
import kelvo.rule.Amounts;
import kelvo.rule.Relation;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.rule.RuleSentence;
import kelvo.rule.RuleSyntaxException;
import kelvo.rule.Vocabulary;
import kelvo.session.Security;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/**
 * Which items a list of news shows: parts between commas, each either about the item, as {@link
 * CatalystRule} has them, or a rule about the security now, such as "volume 5m at least 20K".
 *
 * @param item what the item must be
 * @param rules what the market's answer must be
 * @param since what the price must have done since the item
 */
public record CatalystFilter(CatalystRule item, List<Rule> rules, List<ChangeSince> since) {
  private static final Pattern SINCE =
      Pattern.compile("(?:change )?since (?:%\\s*)?(at least|at most|above|below)\\s+(\\S+)");

  /** Shows everything. */
  public static final CatalystFilter ALL =
      new CatalystFilter(CatalystRule.parse(""), List.of(), List.of());

  /** The least and the greatest change of the price since an item, per cent. */
  public record ChangeSince(double low, double high) {
    boolean holds(double percent) {
      return percent >= low && percent <= high;
    }
  }

  public CatalystFilter {
    rules = List.copyOf(rules);
    since = List.copyOf(since);
  }

  /**
   * Reads a filter as it is typed.
   *
   * @throws RefusedException when a part is neither; the message says what was expected
   */
  public static CatalystFilter parse(String text, Vocabulary vocabulary) {
    List<String> aboutItem = new ArrayList<>();
    List<Rule> rules = new ArrayList<>();
    List<ChangeSince> since = new ArrayList<>();
    for (String part : text.split(",")) {
      if (part.isBlank()) {
        continue;
      }
      Matcher change = SINCE.matcher(part.strip().toLowerCase(Locale.ROOT));
      if (change.matches()) {
        since.add(changeSince(change));
      } else if (isAboutItem(part)) {
        aboutItem.add(part.strip().toLowerCase(Locale.ROOT));
      } else {
        rules.add(rule(part.strip(), vocabulary));
      }
    }
    return new CatalystFilter(CatalystRule.parse(String.join(", ", aboutItem)), rules, since);
  }

  private static ChangeSince changeSince(Matcher part) {
    double percent =
        Amounts.parse(part.group(2), Unit.PERCENT)
            .orElseThrow(
                () ->
                    new RefusedException(
                        "expected a per cent such as 4%, found \"" + part.group(2) + "\""));
    Relation relation =
        Arrays.stream(Relation.values())
            .filter(r -> r.words().equals(part.group(1)))
            .findFirst()
            .orElseThrow();
    return new ChangeSince(relation.low(percent), relation.high(percent));
  }

  private static boolean isAboutItem(String part) {
    return part.strip()
        .toLowerCase(Locale.ROOT)
        .matches("(subject|mention|tone|weight|category|source)\\b.*");
  }

  private static Rule rule(String part, Vocabulary vocabulary) {
    try {
      return RuleSentence.parse(part, vocabulary);
    } catch (RuleSyntaxException e) {
      throw new RefusedException(
          e.getMessage()
              + "; or change since, subject, mention, tone, weight, category, source, source kind",
          e);
    }
  }

  /** The filter made ready for a session. */
  public Check in(Session session) {
    return new Check(
        this,
        session,
        rules.stream().map(rule -> new RuleCheck(rule, new StateValues(session))).toList());
  }

  /** A filter made ready for one session; owned by one thread. */
  public record Check(CatalystFilter filter, Session session, List<RuleCheck> checks) {
    /**
     * Whether it shows an item for one of the securities that the item names.
     *
     * @param changeSince per cent since the item; NaN when unknown, which no bound lets pass
     */
    public boolean shows(Catalyst item, SymbolState state, double changeSince, long now) {
      Security security = session.security(state.id()).security();
      int phase = session.phases().indexAt(now);
      return filter.item().fits(item, security.symbol(), security.name())
          && filter.since().stream().allMatch(bound -> bound.holds(changeSince))
          && checks.stream().allMatch(check -> check.passes(state, now, phase));
    }
  }
}
