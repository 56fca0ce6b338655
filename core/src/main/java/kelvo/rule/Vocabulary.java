package kelvo.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.SecurityColumns;
import kelvo.formula.OwnField;
import kelvo.formula.OwnFields;
import kelvo.session.Security;
import kelvo.time.Phases;

/**
 * The words that a sentence may use: the fields of the catalogue, those that a securities file
 * adds, those of the trader's own, and the phases of the day.
 *
 * @param columns the added fields by their words
 * @param own the trader's own, which may change
 */
public record Vocabulary(Phases phases, Map<String, Field> columns, OwnFields own) {
  /** The catalogue's fields and the usual phases; nobody makes fields of their own in it. */
  public static final Vocabulary DEFAULT = of(List.of());

  public Vocabulary {
    columns = Map.copyOf(columns);
  }

  /** The usual words, and a field for each further column of a securities file. */
  public static Vocabulary of(List<Security> securities) {
    return of(securities, Phases.DEFAULT);
  }

  /** The same with phases of the trader's own. */
  public static Vocabulary of(List<Security> securities, Phases phases) {
    return new Vocabulary(phases, SecurityColumns.of(securities), new OwnFields());
  }

  /** The field of these words. */
  public Optional<Field> find(String words) {
    return given(words).or(() -> own.find(words.strip().toLowerCase(Locale.ROOT)));
  }

  /** The field of these words that is nobody's own. */
  private Optional<Field> given(String words) {
    return FieldCatalogue.find(words)
        .or(() -> Optional.ofNullable(columns.get(words.strip().toLowerCase(Locale.ROOT))));
  }

  /** Makes a field of the trader's own: {@link OwnFields#put}. */
  public OwnField putOwn(String name, String formula) {
    return own.put(name, formula, this::given);
  }

  /** Takes a field of the trader's own away: {@link OwnFields#remove}. */
  public void removeOwn(String name) {
    own.remove(name, this::given);
  }

  /** The words of all fields, for completion and messages. */
  public List<String> allWords() {
    List<String> words = new ArrayList<>(FieldCatalogue.allWords());
    columns.keySet().stream().sorted().forEach(words::add);
    own.all().forEach(field -> words.add(field.name()));
    return words;
  }
}
