package kelvo.check;

import java.util.List;
import kelvo.refusal.RefusedException;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import org.jspecify.annotations.Nullable;

/**
 * What a check of the morning asks, in rules of the trader's own.
 *
 * @param name what is looked at
 * @param pass it passes when any of these holds; all are about one field, whose value it shows
 * @param fail it fails when this holds; else it warns. Null when it never fails
 */
public record CheckRule(String name, List<Rule> pass, @Nullable Rule fail) {
  /**
   * The checks that Kelvo starts with. Their bounds are common practice of the trade, no source: a
   * spread of 1% eats a trade, a float figure older than a quarter is stale, fewer than 25 prints
   * is one order, a deal leaves a flat line.
   */
  public static final List<CheckRule> DEFAULT =
      List.of(
          of("kind", "kind is common stock", "kind is not common stock"),
          of("split", "split flag is no", "split flag is yes"),
          of("spread", "spread % at most 1%", "spread % above 3%"),
          of("prints", "trades at least 25", "trades at most 1"),
          of("idle minutes", "idle minutes 30 at most 10", "idle minutes 30 above 20"),
          of("stack", "stack is 3 or stack is -3", ""),
          of("200-day", "distance from ema 200d at least 0%", ""),
          of("overhead", "overhead % at least 5%", "overhead % below 1%"),
          of("gap filled", "gap filled % at most 50%", "gap filled % above 90%"),
          of("give-back", "give-back at most 60%", "give-back above 85%"),
          of("yesterday", "prior-day trades at least 25", ""),
          of("yesterday's range", "prior-day range at least 0.05", ""),
          of(
              "yesterday's change",
              "prior-day change % between -15% and 15%",
              "prior-day change % above 40%"),
          of("flat days", "flat days at most 2", "flat days above 5"),
          of("shortable", "shortable is yes", ""),
          of("float age", "float age at most 92", "float age above 368"),
          of("catalyst", "minutes since news at most 16h", ""),
          of("is its subject", "is subject is yes", ""));

  /**
   * @throws RefusedException without a name or a rule to pass
   */
  public CheckRule {
    pass = List.copyOf(pass);
    if (name.isBlank() || pass.isEmpty()) {
      throw new RefusedException("a check needs a name and a rule to pass");
    }
  }

  /** A check of sentences in the usual words. */
  private static CheckRule of(String name, String pass, String fail) {
    return of(name, pass, fail, Vocabulary.DEFAULT);
  }

  /**
   * A check of sentences; several ways to pass are joined by " or ", and without a way to fail the
   * last one is empty.
   *
   * @throws RefusedException when one of them is no rule
   */
  public static CheckRule of(String name, String pass, String fail, Vocabulary vocabulary) {
    return new CheckRule(
        name.strip(),
        RuleSentence.parseAny(pass, vocabulary),
        fail.isBlank() ? null : RuleSentence.parse(fail.strip(), vocabulary));
  }

  /** The ways to pass as one sentence. */
  public String passSentence() {
    return RuleSentence.ofAny(pass);
  }

  /** The way to fail as a sentence; empty when there is none. */
  public String failSentence() {
    return fail == null ? "" : fail.sentence();
  }
}
