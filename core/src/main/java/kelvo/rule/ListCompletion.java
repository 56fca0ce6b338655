package kelvo.rule;

import java.util.List;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.rule.RuleCompletion.Proposal;

/** Goes on in the last part of a list that is being typed, such as fields between commas. */
public final class ListCompletion {
  /** Between fields, triggers and orders. */
  public static final Pattern COMMA = Pattern.compile(",\\s*");

  /**
   * Between rules of which one must hold, and between groups of them; "or unknown" belongs to its
   * rule, also while it is being typed.
   */
  public static final Pattern OR =
      Pattern.compile(";\\s*|\\sor\\s+(?!unknown\\b|u(n(k(n(o(wn?)?)?)?)?)?$)");

  private ListCompletion() {}

  /**
   * The whole text with each way to go on in its last part; none while that is empty.
   *
   * @param between what stands between two parts
   * @param ofPart the ways to go on from a part alone
   */
  public static List<Proposal> after(
      String typed, Pattern between, Function<String, List<Proposal>> ofPart) {
    int begin = 0;
    Matcher parts = between.matcher(typed);
    while (parts.find()) {
      begin = parts.end();
    }
    String before = typed.substring(0, begin);
    String part = typed.substring(begin);
    return part.isBlank()
        ? List.of()
        : ofPart.apply(part).stream()
            .map(proposal -> new Proposal(before + proposal.sentence(), proposal.meaning()))
            .toList();
  }
}
