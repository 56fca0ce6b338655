package kelvo.journal;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What the trader says of a day in hindsight. Unlike the other entries of a {@link DayBook} it
 * belongs to no moment of the session: it holds whenever the day is looked at. Immutable.
 *
 * @param remarks the newest on each subject
 * @param matches the newest for each trade
 * @param rules the newest answer for each rule
 */
public record JournalPage(List<Remark> remarks, List<HandMatch> matches, List<RuleKept> rules) {
  /** Nothing said. */
  public static final JournalPage EMPTY = new JournalPage(List.of(), List.of(), List.of());

  public JournalPage {
    remarks = List.copyOf(remarks);
    matches = List.copyOf(matches);
    rules = List.copyOf(rules);
  }

  /** Whether nothing is said. */
  public boolean isEmpty() {
    return equals(EMPTY);
  }

  /** What is said of a subject; a remark without words when nothing is. */
  public Remark on(Subject subject) {
    return remarks.stream()
        .filter(remark -> remark.subject().equals(subject))
        .findFirst()
        .orElse(Remark.none(subject));
  }

  /** The trader's word on a trade; empty when what Kelvo finds counts. */
  public Optional<HandMatch> matchOf(Subject trade) {
    return matches.stream()
        .filter(match -> match.trade().equals(trade) && match.says() != HandMatch.Says.AS_FOUND)
        .findFirst();
  }

  /** Whether a rule was kept; open when nothing was said. */
  public RuleKept.Answer answerTo(String rule) {
    return rules.stream()
        .filter(kept -> kept.rule().equals(rule))
        .map(RuleKept::answer)
        .findFirst()
        .orElse(RuleKept.Answer.OPEN);
  }

  /** This page with a remark in place of the one on the same subject. */
  public JournalPage with(Remark remark) {
    return new JournalPage(
        changed(remarks, old -> old.subject().equals(remark.subject()), remark), matches, rules);
  }

  /** This page with the trader's word on a trade. */
  public JournalPage with(HandMatch match) {
    return new JournalPage(
        remarks, changed(matches, old -> old.trade().equals(match.trade()), match), rules);
  }

  /** This page with an answer. */
  public JournalPage with(RuleKept kept) {
    return new JournalPage(
        remarks, matches, changed(rules, old -> old.rule().equals(kept.rule()), kept));
  }

  private static <T> List<T> changed(List<T> all, Predicate<T> old, T now) {
    List<T> changed = new ArrayList<>(all);
    changed.removeIf(old);
    changed.add(now);
    return changed;
  }
}
