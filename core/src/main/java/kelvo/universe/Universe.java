package kelvo.universe;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.refusal.RefusedException;
import kelvo.rule.Rule;
import org.jspecify.annotations.Nullable;

/**
 * A named choice of securities that scans run on. Symbols excluded by hand are out whatever else is
 * so; symbols added by hand are in though a rule fails.
 *
 * @param name unique in a data folder; empty for {@link #EVERYONE}
 * @param rules all of these must hold; none may change during a session
 * @param reviewed when the trader last looked it through; null when never
 */
public record Universe(
    String name,
    List<Rule> rules,
    Set<String> added,
    Set<String> excluded,
    @Nullable LocalDate reviewed) {
  /** All securities of the folder. */
  public static final Universe EVERYONE = new Universe("", List.of(), Set.of(), Set.of(), null);

  private static final int MONTHS_FRESH = 3;

  /**
   * @throws RefusedException when a rule may change during a session
   */
  public Universe {
    for (Rule rule : rules) {
      if (!rule.isSettled()) {
        throw new RefusedException(
            "a universe holds for a whole day, but \""
                + rule.sentence()
                + "\" can change during it; \"previous close\" or \"avg volume 20d\" cannot");
      }
    }
    rules = List.copyOf(rules);
    added = Set.copyOf(added);
    excluded = Set.copyOf(excluded);
  }

  /** With other rules. */
  public Universe withRules(List<Rule> others) {
    return new Universe(name, others, added, excluded, reviewed);
  }

  /** Under another name. */
  public Universe named(String other) {
    return new Universe(other, rules, added, excluded, reviewed);
  }

  /** With symbols added by hand; they are excluded no more. */
  public Universe adding(Set<String> symbols) {
    return new Universe(name, rules, with(added, symbols), without(excluded, symbols), reviewed);
  }

  /** With symbols excluded by hand; they are added no more. */
  public Universe excluding(Set<String> symbols) {
    return new Universe(name, rules, without(added, symbols), with(excluded, symbols), reviewed);
  }

  /** With nothing said by hand about these symbols. */
  public Universe forgetting(Set<String> symbols) {
    return new Universe(name, rules, without(added, symbols), without(excluded, symbols), reviewed);
  }

  /** Looked through on a date. */
  public Universe reviewedOn(LocalDate date) {
    return new Universe(name, rules, added, excluded, date);
  }

  /** Whether the last look is more than a quarter before a date, or there was none. */
  public boolean isStaleOn(LocalDate date) {
    return reviewed == null || reviewed.plusMonths(MONTHS_FRESH).isBefore(date);
  }

  private static Set<String> with(Set<String> some, Set<String> more) {
    return Stream.concat(some.stream(), more.stream())
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private static Set<String> without(Set<String> some, Set<String> fewer) {
    return some.stream().filter(s -> !fewer.contains(s)).collect(Collectors.toSet());
  }
}
