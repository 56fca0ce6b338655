package kelvo.rule;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kelvo.field.Field;
import kelvo.field.Unit;
import kelvo.refusal.Nearest;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * Reads rules from sentences: FIELD RELATION BOUND [PHASE, BOUND PHASE ...] ["or unknown"], such as
 * "premarket volume at least 50K early, 100K premarket".
 */
public final class RuleSentence {
  private static final Pattern RELATION =
      Pattern.compile(
          Arrays.stream(Relation.values())
              .flatMap(
                  r ->
                      r.sign().isEmpty()
                          ? java.util.stream.Stream.of(r.words())
                          : java.util.stream.Stream.of(r.words(), r.sign()))
              .map(Pattern::quote)
              .collect(Collectors.joining("|", "(?<=\\s)(", ")(?=\\s|$)")));

  /**
   * Many times the longest sentence that anybody would write; the time to read one grows with it.
   */
  private static final int LONGEST = 1_000;

  private static final int MOST_WORDS_OF_FIELD = 20;

  private static final Pattern BRACKETS = Pattern.compile("\\([^)]*\\)");
  private static final Pattern POINTS =
      Pattern.compile("(\\d+(?:\\.\\d*)?) points? (above|below) (.+)");
  private static final Pattern OR_UNKNOWN = Pattern.compile("\\s+or\\s+unknown\\s*$");

  private final String sentence;
  private final String text;

  /** The text with nothing of what stands in brackets. */
  private final String outside;

  private final Vocabulary vocabulary;

  private RuleSentence(String sentence, Vocabulary vocabulary) {
    this.sentence = sentence;
    this.text = sentence.toLowerCase(Locale.ROOT);
    outside =
        BRACKETS.matcher(text).replaceAll(inside -> "_".repeat(inside.end() - inside.start()));
    this.vocabulary = vocabulary;
  }

  /**
   * Reads one rule.
   *
   * @throws RuleSyntaxException when the sentence is no rule
   */
  public static Rule parse(String sentence, Vocabulary vocabulary) {
    if (sentence.length() > LONGEST) {
      throw new RuleSentence(sentence.substring(0, LONGEST), vocabulary)
          .wrong(
              LONGEST,
              "expected the end of the rule: it has "
                  + sentence.length()
                  + " characters, and at most "
                  + LONGEST
                  + " are read");
    }
    return new RuleSentence(sentence, vocabulary).rule();
  }

  /**
   * Reads rules of which one must hold: sentences joined by "or".
   *
   * @throws RuleSyntaxException when one of them is no rule
   */
  public static List<Rule> parseAny(String sentences, Vocabulary vocabulary) {
    return SentenceList.splitAtOr(sentences).stream()
        .map(sentence -> parse(sentence, vocabulary))
        .toList();
  }

  /** Rules of which one must hold as a sentence that reads back as them. */
  public static String ofAny(List<Rule> rules) {
    return String.join(" or ", rules.stream().map(Rule::sentence).toList());
  }

  /**
   * Where the relation stands: after a field's words, which may hold a relation's word themselves
   * ("room below %"); else the first one, so that the mistake can be told. Null without any.
   */
  private @Nullable Matcher relation() {
    Matcher relation = RELATION.matcher(outside);
    int last = lastEndOfField();
    while (relation.find() && relation.start() <= last) {
      if (found(text.substring(0, relation.start())).isPresent()) {
        return relation;
      }
    }
    relation.reset();
    return relation.find() ? relation : null;
  }

  /** Where the words of a field end, as far as they are some; where a relation has to stand. */
  private int afterField() {
    for (int end = lastEndOfField(); end > 0; end = outside.lastIndexOf(' ', end - 1)) {
      if (found(text.substring(0, end)).isPresent()) {
        return Math.min(text.length(), end + 1);
      }
    }
    return text.length();
  }

  /** Beyond which no field's words go, so that a long text is not tried as a whole at each word. */
  private int lastEndOfField() {
    int end = -1;
    for (int words = 0; words < MOST_WORDS_OF_FIELD; words++) {
      end = outside.indexOf(' ', end + 1);
      if (end < 0) {
        return text.length();
      }
    }
    return end;
  }

  private Rule rule() {
    Matcher relation = relation();
    if (relation == null) {
      if (found(text).orElse(null) instanceof Field.Number flag && flag.unit() == Unit.FLAG) {
        return new Rule(
            flag, Relation.IS, List.of(new Rule.Step(new Bound.Amount(1, "yes"), "")), false);
      }
      throw wrong(
          afterField(),
          "expected a relation: at least, at most, above, below, between, is, is not, is one of");
    }
    Field field = field(text.substring(0, relation.start()));
    Matcher unknown = OR_UNKNOWN.matcher(text);
    int start = relation.end();
    boolean orUnknown = unknown.find(start);
    int end = orUnknown ? unknown.start() : text.length();
    if (text.substring(start, end).isBlank()) {
      throw wrong(end, "expected a bound after \"" + relation.group() + "\"");
    }
    return switch (field) {
      case Field.Word word -> wordRule(word, relationOf(relation.group()), start, end, orUnknown);
      case Field.Number number ->
          numberRule(number, relationOf(relation.group()), start, end, orUnknown);
    };
  }

  private Field field(String words) {
    return found(words)
        .orElseThrow(
            () ->
                wrong(
                    0,
                    "no field is called \""
                        + words.strip()
                        + "\""
                        + Nearest.asQuestion(words.strip(), vocabulary.allWords())));
  }

  private Optional<Field> found(String words) {
    try {
      return vocabulary.find(words);
    } catch (RefusedException e) {
      throw wrong(Math.max(0, text.indexOf('(')), String.valueOf(e.getMessage()));
    }
  }

  private static Relation relationOf(String words) {
    for (Relation relation : Relation.values()) {
      if (relation.words().equals(words) || relation.sign().equals(words)) {
        return relation;
      }
    }
    throw new IllegalStateException(words);
  }

  private Rule wordRule(
      Field.Word field, Relation relation, int start, int end, boolean orUnknown) {
    if (relation != Relation.IS && relation != Relation.IS_NOT && relation != Relation.IS_ONE_OF) {
      throw wrong(start, field.words() + " is a word: expected is, is not or is one of");
    }
    List<String> words = new ArrayList<>();
    for (String word :
        text.substring(start, end).split(relation == Relation.IS_ONE_OF ? ",|\\sor\\s" : ",")) {
      words.add(word.strip());
    }
    return new Rule(field, relation, List.of(new Rule.Step(new Bound.Words(words), "")), orUnknown);
  }

  private Rule numberRule(
      Field.Number field, Relation relation, int start, int end, boolean orUnknown) {
    if (relation == Relation.IS_ONE_OF) {
      throw wrong(
          start,
          field.words()
              + " is a number: expected at least, at most, above, below, between, is or is not");
    }
    List<Rule.Step> steps = new ArrayList<>();
    int from = start;
    while (from <= end) {
      int comma = text.indexOf(',', from);
      int to = comma < 0 || comma > end ? end : comma;
      steps.add(step(field, relation, from, to));
      from = to + 1;
    }
    checkOrder(steps, end);
    return new Rule(field, relation, steps, orUnknown);
  }

  private void checkOrder(List<Rule.Step> steps, int end) {
    for (int i = 0; i < steps.size() && steps.size() > 1; i++) {
      int phase =
          vocabulary
              .phases()
              .indexOf(steps.get(i).phase())
              .orElseThrow(() -> wrong(end, "expected a phase after each bound: " + phaseNames()));
      if (i > 0 && phase <= vocabulary.phases().indexOf(steps.get(i - 1).phase()).orElse(-1)) {
        throw wrong(end, "phases must stand in the day's order: " + phaseNames());
      }
    }
  }

  private String phaseNames() {
    return vocabulary.phases().all().stream().map(p -> p.name()).collect(Collectors.joining(", "));
  }

  private Rule.Step step(Field.Number field, Relation relation, int start, int end) {
    String part = text.substring(start, end);
    int at = start + part.length() - part.stripLeading().length();
    String phase = "";
    for (var candidate : vocabulary.phases().all()) {
      if (part.strip().endsWith(" " + candidate.name())) {
        phase = candidate.name();
      }
    }
    String stripped = part.strip();
    String bound = stripped.substring(0, stripped.length() - phase.length()).strip();
    return new Rule.Step(bound(field, relation, bound, at), phase);
  }

  private Bound bound(Field.Number field, Relation relation, String words, int at) {
    if (relation != Relation.BETWEEN) {
      return single(field, words, at);
    }
    String[] ends = words.split("\\s+and\\s+");
    if (ends.length != 2) {
      throw wrong(at, "expected two bounds: between A and B");
    }
    try {
      return new Bound.Range(
          amount(field, ends[0], at),
          amount(field, ends[1], at),
          Amounts.written(words, field.unit()));
    } catch (RefusedException e) {
      throw e instanceof RuleSyntaxException ? e : wrong(at, String.valueOf(e.getMessage()));
    }
  }

  private Bound single(Field.Number field, String words, int at) {
    Matcher points = POINTS.matcher(words);
    if (points.matches()) {
      return pointsFrom(field, points, at);
    }
    Matcher times = Pattern.compile("(?:([0-9.]+)\\s*x\\s+)?([a-z].*)").matcher(words);
    if (times.matches() && found(times.group(2)).orElse(null) instanceof Field.Number other) {
      double factor = times.group(1) == null ? 1 : Double.parseDouble(times.group(1));
      return new Bound.OtherField(factor, 0, other, words);
    }
    return new Bound.Amount(amount(field, words, at), Amounts.written(words, field.unit()));
  }

  private Bound pointsFrom(Field.Number field, Matcher points, int at) {
    if (field.unit() == Unit.PERCENT
        && found(points.group(3)).orElse(null) instanceof Field.Number other
        && other.unit() == Unit.PERCENT) {
      double distance = Double.parseDouble(points.group(1));
      boolean above = points.group(2).equals("above");
      String words = points.group(1) + " points " + points.group(2) + " " + other.words();
      return new Bound.OtherField(1, above ? distance : -distance, other, words);
    }
    throw wrong(
        at,
        "points stand between two per cents, as in: change % at least 3 points above change of SYM");
  }

  private double amount(Field.Number field, String words, int at) {
    return Amounts.parse(words.strip(), field.unit())
        .orElseThrow(
            () ->
                wrong(
                    at, "expected " + Amounts.example(field.unit()) + ", found \"" + words + "\""));
  }

  private RuleSyntaxException wrong(int position, String expected) {
    return new RuleSyntaxException(sentence, position, expected);
  }
}
