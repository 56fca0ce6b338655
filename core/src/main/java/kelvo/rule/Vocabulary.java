package kelvo.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.field.SecurityColumns;
import kelvo.session.Security;
import kelvo.time.Phases;

/**
 * The words that a sentence may use: the fields of the catalogue, those that a securities file
 * adds, and the phases of the day.
 *
 * @param columns the added fields by their words
 */
public record Vocabulary(Phases phases, Map<String, Field> columns) {
  /** The catalogue's fields and the usual phases. */
  public static final Vocabulary DEFAULT = new Vocabulary(Phases.DEFAULT, Map.of());

  public Vocabulary {
    columns = Map.copyOf(columns);
  }

  /** The usual words, and a field for each further column of a securities file. */
  public static Vocabulary of(List<Security> securities) {
    return new Vocabulary(Phases.DEFAULT, SecurityColumns.of(securities));
  }

  /** The field of these words. */
  public Optional<Field> find(String words) {
    return FieldCatalogue.find(words)
        .or(() -> Optional.ofNullable(columns.get(words.strip().toLowerCase(Locale.ROOT))));
  }

  /** The words of all fields, for completion and messages. */
  public List<String> allWords() {
    List<String> words = new ArrayList<>(FieldCatalogue.allWords());
    columns.keySet().stream().sorted().forEach(words::add);
    return words;
  }
}
