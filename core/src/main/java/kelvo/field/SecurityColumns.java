package kelvo.field;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import kelvo.session.Security;

/**
 * The fields that further columns of the securities file make, each of the column's own name with
 * spaces for underscores: a number where all of its values are numbers, else a word.
 */
public final class SecurityColumns {
  private static final String NO_VALUE = "the securities file has no value there";

  private SecurityColumns() {}

  /** The fields by their words. A column named like a field of the catalogue makes none. */
  public static Map<String, Field> of(List<Security> securities) {
    Set<String> columns = new TreeSet<>();
    securities.forEach(security -> columns.addAll(security.extra().keySet()));
    Map<String, Field> fields = new LinkedHashMap<>();
    for (String column : columns) {
      String words = column.toLowerCase(Locale.ROOT).replace('_', ' ').strip();
      if (!words.isEmpty() && FieldCatalogue.find(words).isEmpty()) {
        fields.put(words, field(words, column, securities));
      }
    }
    return fields;
  }

  private static Field field(String words, String column, List<Security> securities) {
    String meaning = "The column \"" + column + "\" of the securities file.";
    boolean numbers =
        securities.stream()
            .map(security -> security.extra().getOrDefault(column, ""))
            .allMatch(value -> value.isEmpty() || !Double.isNaN(number(value)));
    return numbers
        ? ActivityFields.fixed(
            words,
            Unit.NUMBER,
            meaning,
            NO_VALUE,
            f -> number(f.security().extra().getOrDefault(column, "")))
        : Field.Word.settled(
            words, meaning, NO_VALUE, f -> f.security().extra().getOrDefault(column, ""));
  }

  /** The number that a text is; NaN when it is none. */
  private static double number(String text) {
    try {
      return Double.parseDouble(text.strip());
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }
}
