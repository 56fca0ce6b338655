package kelvo.alert;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import kelvo.rule.RuleCompletion;
import kelvo.rule.RuleCompletion.Proposal;
import kelvo.trigger.TriggerCompletion;

/** What may come next in an alert that is being typed. */
public final class AlertCompletion {
  private static final int MOST = 9;
  private static final Pattern WHOM =
      Pattern.compile(
          "((?:scan|list) [^:]+:|the ten:|everything:|[A-Za-z0-9.\\-]{1,12}:?)\\s+(.*)",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern LAST_RULE =
      Pattern.compile("(.*\\s(?:while|with|and)\\s+)(.*)", Pattern.CASE_INSENSITIVE);
  private static final List<Proposal> ENDINGS =
      List.of(
          new Proposal("once", "It rings once on a symbol, until it is armed anew."),
          new Proposal("again after 5m", "It rings again, at the earliest after so long."),
          new Proposal("until today", "It is over when the day is."),
          new Proposal("by popup and tone", "How it reaches you; this is how without a word."),
          new Proposal("by popup, tone and spoken", "How it reaches you."),
          new Proposal("by notification", "How it reaches you."),
          new Proposal("by webhook", "How it reaches you."));

  private final RuleCompletion rules;
  private final List<String> lists;
  private final List<String> scans;
  private final List<String> symbols;

  /**
   * Completion of alerts.
   *
   * @param lists the names of the watchlists besides the Ten
   * @param scans the names of the scans
   * @param symbols all tickers
   */
  public AlertCompletion(
      RuleCompletion rules, List<String> lists, List<String> scans, List<String> symbols) {
    this.rules = rules;
    this.lists = List.copyOf(lists);
    this.scans = List.copyOf(scans);
    this.symbols = List.copyOf(symbols);
  }

  /** The ways to go on from what has been typed, the likeliest first; whole sentences. */
  public List<Proposal> after(String typed) {
    String text = typed.stripLeading();
    Matcher whom = WHOM.matcher(text);
    boolean isNaming = text.matches("(?i)(scan|list|the)(\\s[^:]*)?");
    if (isNaming || !whom.matches()) {
      return whom(text);
    }
    int comma = text.lastIndexOf(',');
    if (comma >= 0) {
      String before = text.substring(0, comma + 1) + " ";
      List<Proposal> endings = starting(before, text.substring(comma + 1).strip(), ENDINGS);
      if (!endings.isEmpty()) {
        return endings;
      }
    }
    String before = whom.group(1) + " ";
    String when = whom.group(2);
    Matcher rule = LAST_RULE.matcher(when);
    if (rule.matches()) {
      String kept = before + rule.group(1);
      return rules.after(rule.group(2)).stream()
          .map(next -> new Proposal(kept + next.sentence(), next.meaning()))
          .toList();
    }
    List<Proposal> next = new ArrayList<>(TriggerCompletion.after(when));
    next.addAll(rules.after(when));
    return next.stream()
        .distinct()
        .limit(MOST)
        .map(each -> new Proposal(before + each.sentence(), each.meaning()))
        .toList();
  }

  private List<Proposal> whom(String text) {
    String wanted = text.toLowerCase(Locale.ROOT);
    Stream<Proposal> groups =
        Stream.of(
                Stream.of(
                    new Proposal("the ten: ", "Whoever is on the Ten."),
                    new Proposal("everything: ", "The whole market.")),
                lists.stream()
                    .map(name -> new Proposal("list " + name + ": ", "Whoever is on it.")),
                scans.stream().map(name -> new Proposal("scan " + name + ": ", "Whoever fits it.")))
            .flatMap(each -> each);
    Stream<Proposal> tickers =
        wanted.isEmpty()
            ? Stream.of()
            : symbols.stream().map(symbol -> new Proposal(symbol + " ", ""));
    return Stream.concat(groups, tickers)
        .filter(each -> each.sentence().toLowerCase(Locale.ROOT).startsWith(wanted))
        .limit(MOST)
        .toList();
  }

  private static List<Proposal> starting(String before, String typed, List<Proposal> all) {
    String wanted = typed.toLowerCase(Locale.ROOT);
    return all.stream()
        .filter(each -> each.sentence().startsWith(wanted) && !each.sentence().equals(wanted))
        .map(each -> new Proposal(before + each.sentence(), each.meaning()))
        .toList();
  }
}
