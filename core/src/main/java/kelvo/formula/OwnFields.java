package kelvo.formula;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import kelvo.field.Field;
import kelvo.refusal.RefusedException;

/**
 * The trader's own fields, which grow and change while the program runs. A formula may use those
 * made before it. Any thread may ask.
 */
public final class OwnFields {
  private volatile Map<String, OwnField> byName = Map.of();

  /**
   * Makes a field, or makes the one of its name anew where it stands.
   *
   * @param given finds the fields that are nobody's own
   * @throws RefusedException when it cannot be read, or another one can no more; then nothing
   *     changes
   */
  public synchronized OwnField put(
      String name, String formula, Function<String, Optional<Field>> given) {
    String words = name.strip().toLowerCase(Locale.ROOT);
    Map<String, String> formulas = formulas();
    formulas.put(words, formula);
    Map<String, OwnField> made = made(formulas, given);
    byName = made;
    return Objects.requireNonNull(made.get(words));
  }

  /**
   * Takes a field away; what asks it already goes on doing so.
   *
   * @throws RefusedException when another one needs it; then nothing changes
   */
  public synchronized void remove(String name, Function<String, Optional<Field>> given) {
    Map<String, String> formulas = formulas();
    formulas.remove(name.strip().toLowerCase(Locale.ROOT));
    byName = made(formulas, given);
  }

  private Map<String, String> formulas() {
    Map<String, String> formulas = new LinkedHashMap<>();
    byName.values().forEach(own -> formulas.put(own.name(), own.formula()));
    return formulas;
  }

  private static Map<String, OwnField> made(
      Map<String, String> formulas, Function<String, Optional<Field>> given) {
    Map<String, OwnField> made = new LinkedHashMap<>();
    formulas.forEach(
        (name, formula) ->
            made.put(
                name,
                OwnField.of(
                    name,
                    formula,
                    words ->
                        given
                            .apply(words)
                            .or(() -> Optional.ofNullable(made.get(words)).map(OwnField::field)))));
    return made;
  }

  /** All of them, in the order in which they were made. */
  public List<OwnField> all() {
    return List.copyOf(byName.values());
  }

  /** All of them as fields, in the same order. */
  public List<Field.Number> fields() {
    return all().stream().map(OwnField::field).toList();
  }

  /** The one of a name. */
  public Optional<Field> find(String words) {
    return Optional.ofNullable(byName.get(words)).map(OwnField::field);
  }
}
