package kelvo.formula;

import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.Unit;
import kelvo.refusal.RefusedException;

/**
 * A field that the trader has made of others.
 *
 * @param name the words by which rules and columns name it, in lower case
 * @param formula what it is, as written
 * @param field the field
 */
public record OwnField(String name, String formula, Field.Number field) {
  private static final Pattern NAME = Pattern.compile("[a-z][a-z0-9%-]*( [a-z0-9%-]+)*");
  private static final Pattern TAKEN =
      Pattern.compile(
          ".*\\b(at least|at most|above|below|between|is|or|and|x|min|max|abs|unknown)\\b.*");

  /**
   * Reads a field of a name and a formula.
   *
   * @param fields finds the fields that the formula may use
   * @throws RefusedException when the name or the formula is none; a {@link FormulaSyntaxException}
   *     says at which character of the formula
   */
  public static OwnField of(String name, String formula, Function<String, Optional<Field>> fields) {
    String words = name.strip().toLowerCase(java.util.Locale.ROOT);
    if (!NAME.matcher(words).matches() || TAKEN.matcher(words).matches()) {
      throw new RefusedException(
          "\""
              + name.strip()
              + "\" cannot name a field: expected letters and digits, and no word that rules use");
    }
    if (FieldCatalogue.find(words).isPresent()) {
      throw new RefusedException("there is a field \"" + words + "\" already");
    }
    Part whole = Formula.parse(formula.strip(), fields);
    return new OwnField(
        words,
        formula.strip(),
        new Field.Number(
            words,
            whole.unit() == null ? Unit.NUMBER : whole.unit(),
            pace(whole.paces()),
            "Your own: " + formula.strip(),
            "a part of it is, or something is divided by 0",
            whole.binder()));
  }

  /** The pace of several: as fast as the fastest, and like the clock where they differ in kind. */
  private static Field.Pace pace(Set<Field.Pace> paces) {
    if (Set.of(Field.Pace.FIXED).containsAll(paces)) {
      return Field.Pace.FIXED;
    }
    if (Set.of(Field.Pace.FIXED, Field.Pace.EVENTS).containsAll(paces)) {
      return Field.Pace.EVENTS;
    }
    return Set.of(Field.Pace.FIXED, Field.Pace.EVENTS, Field.Pace.QUOTES).containsAll(paces)
        ? Field.Pace.QUOTES
        : Field.Pace.CLOCK;
  }
}
