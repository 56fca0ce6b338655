package kelvo.view;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import kelvo.news.NewsCategory;
import kelvo.rule.RuleCompletion;
import kelvo.rule.RuleCompletion.Proposal;

/** What may come next in a part of a filter of news. */
public final class CatalystCompletion {
  private static final int MOST = 9;
  private static final String CATEGORY = "category ";
  private static final List<Proposal> BEGINNINGS =
      List.of(
          new Proposal("subject", "The item is about the company."),
          new Proposal("mention", "The item only names the company."),
          new Proposal("since at least ", "Change of the price since the item, such as 3%."),
          new Proposal("since at most ", "Change of the price since the item, such as -3%."),
          new Proposal("tone above ", "From -1, bad for the price, to 1."),
          new Proposal("tone below ", "From -1, bad for the price, to 1."),
          new Proposal("weight high", "Such an item can move a price much."),
          new Proposal(CATEGORY, "What the item is about."),
          new Proposal("source ", "A part of the publisher's name."));

  private final RuleCompletion rules;

  /** Completion by the rules about a security, too. */
  public CatalystCompletion(RuleCompletion rules) {
    this.rules = rules;
  }

  /** The ways to go on from a part. */
  public List<Proposal> after(String part) {
    String wanted = part.stripLeading().toLowerCase(Locale.ROOT);
    List<Proposal> proposals = new ArrayList<>();
    if (wanted.startsWith(CATEGORY)) {
      Arrays.stream(NewsCategory.values())
          .map(category -> new Proposal(CATEGORY + category.words(), ""))
          .forEach(proposals::add);
    } else {
      proposals.addAll(BEGINNINGS);
    }
    proposals.removeIf(
        proposal -> !proposal.sentence().startsWith(wanted) || proposal.sentence().equals(wanted));
    proposals.addAll(rules.after(part));
    return proposals.stream().limit(MOST).toList();
  }
}
