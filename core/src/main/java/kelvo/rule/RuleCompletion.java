package kelvo.rule;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Unit;
import kelvo.refusal.RefusedException;

/** What may come next in a rule that is being typed. */
public final class RuleCompletion {
  private static final int MAX = 9;
  private static final Pattern RELATION =
      Pattern.compile("\\s(at least|at most|above|below|between|is one of|is not|is)(?=\\s|$)");
  private static final List<Relation> OF_NUMBERS =
      List.of(
          Relation.AT_LEAST, Relation.AT_MOST, Relation.ABOVE, Relation.BELOW, Relation.BETWEEN);
  private static final List<String> POINTS = List.of("points above ", "points below ");
  private static final List<Relation> OF_WORDS =
      List.of(Relation.IS, Relation.IS_ONE_OF, Relation.IS_NOT);

  private final Vocabulary vocabulary;
  private final Function<Field.Word, List<String>> wordsOf;

  /**
   * A way to go on.
   *
   * @param sentence the whole sentence with it
   * @param meaning what it means; may be empty
   */
  public record Proposal(String sentence, String meaning) {}

  /**
   * Completion by a vocabulary.
   *
   * @param wordsOf the words that a field of words takes in the session
   */
  public RuleCompletion(Vocabulary vocabulary, Function<Field.Word, List<String>> wordsOf) {
    this.vocabulary = vocabulary;
    this.wordsOf = wordsOf;
  }

  /** The ways to go on from what has been typed, the likeliest first. */
  public List<Proposal> after(String typed) {
    String written = typed.stripLeading();
    String text = written.toLowerCase(Locale.ROOT);
    Matcher relation = RELATION.matcher(text);
    while (relation.find()) {
      // A field's own words may hold one of a relation: "room below %".
      Optional<Field> field = find(text.substring(0, relation.start()));
      if (field.isPresent()) {
        return bounds(
            field.get(),
            relation.group(1),
            written.substring(0, relation.end()) + " ",
            written.substring(relation.end()).stripLeading());
      }
    }
    List<Proposal> proposals = new ArrayList<>(relations(text));
    proposals.addAll(fields(text));
    return proposals.stream().limit(MAX).toList();
  }

  private Optional<Field> find(String words) {
    try {
      return vocabulary.find(words);
    } catch (RefusedException e) {
      return Optional.empty();
    }
  }

  /** After a whole field the relations that suit it and begin as what follows. */
  private List<Proposal> relations(String text) {
    for (int end = text.length(); end > 0; end = text.lastIndexOf(' ', end - 1)) {
      String words = text.substring(0, end).strip();
      String rest = text.substring(end).strip();
      Optional<Field> field = find(words);
      if (field.isPresent()) {
        Field found = field.get();
        return relationsOf(found).stream()
            .filter(relation -> relation.words().startsWith(rest))
            .map(relation -> new Proposal(words + " " + relation.words() + " ", found.meaning()))
            .toList();
      }
    }
    return List.of();
  }

  private static List<Relation> relationsOf(Field field) {
    return field instanceof Field.Word
        ? OF_WORDS
        : field.unit() == Unit.FLAG ? List.of(Relation.IS) : OF_NUMBERS;
  }

  /** The ways to go on in an order such as "gap down": a field, then its direction. */
  public List<Proposal> orders(String text) {
    String wanted = text.strip().toLowerCase(Locale.ROOT);
    List<Proposal> proposals = new ArrayList<>();
    for (String direction : List.of("down", "up")) {
      String words = wanted.replaceFirst("\\s+[a-z]{0,4}$", "");
      for (String field : List.of(wanted, words)) {
        Optional<Field> found = find(field);
        String whole = field + " " + direction;
        if (found.isPresent() && whole.startsWith(wanted) && !whole.equals(wanted)) {
          proposals.add(new Proposal(whole, found.get().meaning()));
          break;
        }
      }
    }
    proposals.addAll(fields(text));
    return proposals.stream().distinct().limit(MAX).toList();
  }

  /** Fields that begin with what was typed, then those that hold it. */
  public List<Proposal> fields(String text) {
    String wanted = text.strip().toLowerCase(Locale.ROOT);
    Set<String> words = new LinkedHashSet<>();
    List<String> all = new ArrayList<>(vocabulary.allWords());
    FieldCatalogue.usual().forEach(field -> all.add(field.words()));
    List<String> known = all.stream().filter(w -> find(w).isPresent()).distinct().toList();
    known.stream()
        .filter(w -> w.startsWith(wanted))
        .sorted(Comparator.comparingInt(String::length))
        .forEach(words::add);
    known.stream().filter(w -> w.contains(wanted)).forEach(words::add);
    words.remove(wanted);
    return words.stream()
        .limit(MAX)
        .map(w -> new Proposal(w + " ", find(w).map(Field::meaning).orElse("")))
        .toList();
  }

  private List<Proposal> bounds(Field field, String relation, String before, String bound) {
    if (field instanceof Field.Word word) {
      return words(word, relation, before, bound);
    }
    if (field.unit() == Unit.FLAG) {
      return starting(before, bound, List.of("yes", "no"));
    }
    if (bound.isBlank()) {
      return List.of(new Proposal(before, "Expected " + Amounts.example(field.unit()) + "."));
    }
    String last = bound.substring(bound.lastIndexOf(',') + 1).strip();
    int space = last.indexOf(' ');
    if (space < 0 || relation.equals("between")) {
      return List.of();
    }
    String typed = last.substring(space + 1);
    String upTo = before + bound.substring(0, bound.length() - typed.length());
    List<String> next =
        new ArrayList<>(vocabulary.phases().all().stream().map(p -> p.name()).toList());
    next.add("or unknown");
    if (field.unit() == Unit.PERCENT) {
      next.addAll(POINTS);
    }
    List<Proposal> proposals = new ArrayList<>(starting(upTo, typed, next));
    Optional<String> points = POINTS.stream().filter(typed::startsWith).findFirst();
    if (points.isPresent()) {
      String upToField = upTo + points.get();
      fields(typed.substring(points.get().length()).toLowerCase(Locale.ROOT)).stream()
          .filter(f -> find(f.sentence()).map(Field::unit).orElse(null) == Unit.PERCENT)
          .forEach(f -> proposals.add(new Proposal(upToField + f.sentence(), f.meaning())));
    } else if (last.substring(0, space).endsWith("x")) {
      fields(typed.toLowerCase(Locale.ROOT))
          .forEach(f -> proposals.add(new Proposal(upTo + f.sentence(), f.meaning())));
    }
    return proposals.stream().limit(MAX).toList();
  }

  private List<Proposal> words(Field.Word field, String relation, String before, String bound) {
    int comma = relation.equals(Relation.IS_ONE_OF.words()) ? bound.lastIndexOf(',') + 1 : 0;
    String typed = bound.substring(comma).stripLeading();
    String upTo = before + bound.substring(0, bound.length() - typed.length());
    return starting(upTo, typed, wordsOf.apply(field));
  }

  private static List<Proposal> starting(String before, String typed, List<String> candidates) {
    return candidates.stream()
        .filter(c -> c.regionMatches(true, 0, typed, 0, typed.length()))
        .filter(c -> !c.equalsIgnoreCase(typed))
        .limit(MAX)
        .map(c -> new Proposal(before + c, ""))
        .toList();
  }
}
