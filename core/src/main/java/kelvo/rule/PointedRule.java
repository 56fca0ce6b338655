package kelvo.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import kelvo.field.Field;
import kelvo.field.Unit;

/** The rules that a value on the screen suggests to someone who points at it. */
public final class PointedRule {
  private PointedRule() {}

  /**
   * At least and at most a number, a flag or word as it is or not so; none for what is unknown or
   * clear.
   *
   * @param shown the value as it stands on the screen, with or without its sign
   */
  public static List<Rule> of(Field field, String shown, Vocabulary vocabulary) {
    String value = shown.strip();
    if (value.isEmpty() || value.equals(Unit.CLEAR)) {
      return List.of();
    }
    boolean number = field instanceof Field.Number && field.unit() != Unit.FLAG;
    Stream<Relation> relations =
        number
            ? Stream.of(Relation.AT_LEAST, Relation.AT_MOST)
            : field.unit() == Unit.FLAG
                ? Stream.of(Relation.IS)
                : Stream.of(Relation.IS, Relation.IS_NOT);
    String bound = number ? bound(value, field.unit()) : value;
    return relations
        .map(relation -> field.words() + " " + relation.words() + " " + bound)
        .flatMap(sentence -> read(sentence, vocabulary))
        .toList();
  }

  /** The number as it is typed. */
  private static String bound(String shown, Unit unit) {
    String number = shown.replace("$", "").replace(" min", "");
    return unit == Unit.PERCENT && !number.endsWith("%") ? number + "%" : number;
  }

  /** A word such as a headline may be no bound. */
  private static Stream<Rule> read(String sentence, Vocabulary vocabulary) {
    try {
      return Stream.of(RuleSentence.parse(sentence.toLowerCase(Locale.ROOT), vocabulary));
    } catch (RuleSyntaxException e) {
      return Stream.empty();
    }
  }

  /**
   * Where a pointed rule stands among a scan's: in place of the one that says the same of its field
   * with one other bound, else at the end.
   */
  public static int place(List<Rule> rules, Rule pointed) {
    for (int i = 0; i < rules.size(); i++) {
      Rule rule = rules.get(i);
      if (rule.field().equals(pointed.field())
          && rule.relation() == pointed.relation()
          && rule.steps().size() == 1) {
        return i;
      }
    }
    return rules.size();
  }

  /** The rules with a pointed one in its place. */
  public static List<Rule> into(List<Rule> rules, Rule pointed) {
    List<Rule> changed = new ArrayList<>(rules);
    int place = place(rules, pointed);
    if (place < rules.size()) {
      changed.set(place, pointed);
    } else {
      changed.add(pointed);
    }
    return List.copyOf(changed);
  }
}
