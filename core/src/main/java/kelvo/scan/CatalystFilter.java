package kelvo.scan;

import java.util.ArrayList;
import java.util.List;
import kelvo.market.Security;
import kelvo.market.Session;
import kelvo.market.SymbolState;
import kelvo.news.Catalyst;
import kelvo.news.CatalystRule;
import kelvo.rule.Rule;
import kelvo.rule.RuleCheck;
import kelvo.rule.RuleSentence;
import kelvo.rule.RuleSyntaxException;
import kelvo.rule.Vocabulary;

/**
 * Which items a list of news shows: parts between commas, each either about the item, as {@link
 * CatalystRule} has them, or a rule about the security now, such as "volume 5m at least 20K".
 *
 * @param item what the item must be
 * @param rules what the market's answer must be
 */
public record CatalystFilter(CatalystRule item, List<Rule> rules) {
  /** Shows everything. */
  public static final CatalystFilter ALL = new CatalystFilter(CatalystRule.parse(""), List.of());

  public CatalystFilter {
    rules = List.copyOf(rules);
  }

  /**
   * Reads a filter as it is typed.
   *
   * @throws IllegalArgumentException when a part is neither; the message says what was expected
   */
  public static CatalystFilter parse(String text, Vocabulary vocabulary) {
    List<String> aboutItem = new ArrayList<>();
    List<Rule> rules = new ArrayList<>();
    for (String part : text.split(",")) {
      if (part.isBlank()) {
        continue;
      }
      if (isAboutItem(part)) {
        aboutItem.add(part.strip().toLowerCase(java.util.Locale.ROOT));
      } else {
        rules.add(rule(part.strip(), vocabulary));
      }
    }
    return new CatalystFilter(CatalystRule.parse(String.join(", ", aboutItem)), rules);
  }

  private static boolean isAboutItem(String part) {
    return part.strip()
        .toLowerCase(java.util.Locale.ROOT)
        .matches("(subject|tone|weight|category|source)\\b.*");
  }

  private static Rule rule(String part, Vocabulary vocabulary) {
    try {
      return RuleSentence.parse(part, vocabulary);
    } catch (RuleSyntaxException e) {
      throw new IllegalArgumentException(
          e.getMessage() + "; or subject, tone, weight, category, source, source kind", e);
    }
  }

  /** The filter made ready for a session. */
  public Check in(Session session) {
    return new Check(
        this, session, rules.stream().map(rule -> new RuleCheck(rule, session)).toList());
  }

  /** A filter made ready for one session; owned by one thread. */
  public record Check(CatalystFilter filter, Session session, List<RuleCheck> checks) {
    /** Whether it shows an item for one of the securities that the item names. */
    public boolean shows(Catalyst item, SymbolState state, long now) {
      Security security = session.security(state.id()).security();
      int phase = session.phases().indexAt(now);
      return filter.item().fits(item, security.symbol(), security.name())
          && checks.stream().allMatch(check -> check.passes(state, now, phase));
    }
  }
}
