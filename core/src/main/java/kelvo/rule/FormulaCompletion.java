package kelvo.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.field.Field;
import kelvo.formula.OwnField;

/** What may come next in "name = formula", by which the trader makes a field. */
public final class FormulaCompletion {
  /** Where a field may begin: after a sign that stands between two, a bracket or a comma. */
  private static final Pattern BEGINS = Pattern.compile("[(,+*/]|(?<= )[-x](?= )");

  private static final List<String> FUNCTIONS = List.of("min(", "max(", "abs(");

  private final Vocabulary vocabulary;
  private final RuleCompletion rules;

  /** Completion by a vocabulary. */
  public FormulaCompletion(Vocabulary vocabulary) {
    this.vocabulary = vocabulary;
    rules = new RuleCompletion(vocabulary, word -> List.of());
  }

  /** The ways to go on from what has been typed: a field made before, else a field to use. */
  public List<RuleCompletion.Proposal> after(String typed) {
    int equals = typed.indexOf('=');
    if (equals < 0) {
      return vocabulary.own().all().stream()
          .filter(own -> own.name().startsWith(typed.strip().toLowerCase(Locale.ROOT)))
          .map(FormulaCompletion::whole)
          .toList();
    }
    int begin = equals + 1;
    Matcher signs = BEGINS.matcher(typed).region(begin, typed.length());
    while (signs.find()) {
      begin = signs.end();
    }
    String part = typed.substring(begin).stripLeading().toLowerCase(Locale.ROOT);
    String before = typed.substring(0, typed.length() - part.length());
    List<RuleCompletion.Proposal> proposals = new ArrayList<>();
    if (!part.isBlank()) {
      FUNCTIONS.stream()
          .filter(name -> name.startsWith(part))
          .forEach(name -> proposals.add(new RuleCompletion.Proposal(before + name, "")));
      rules.fields(part).stream()
          .filter(p -> vocabulary.find(p.sentence()).orElse(null) instanceof Field.Number)
          .forEach(
              p -> proposals.add(new RuleCompletion.Proposal(before + p.sentence(), p.meaning())));
    }
    return proposals;
  }

  private static RuleCompletion.Proposal whole(OwnField own) {
    return new RuleCompletion.Proposal(own.name() + " = " + own.formula(), own.field().meaning());
  }
}
