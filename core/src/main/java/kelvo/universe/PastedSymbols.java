package kelvo.universe;

import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * Symbols found in a text from anywhere: a chat, a web page, a spreadsheet column.
 *
 * @param known those that are listed, in the order of the text
 * @param others words in capitals or with a $ sign that are not, in the order of the text
 */
public record PastedSymbols(Set<String> known, List<String> others) {
  private static final Pattern BETWEEN = Pattern.compile("[\\s,;:|()\\[\\]\"'<>/]+");
  private static final Pattern LIKE_A_SYMBOL = Pattern.compile("\\$?[A-Z][A-Z0-9.\\-]{0,9}");

  public PastedSymbols {
    known = Collections.unmodifiableSet(new LinkedHashSet<>(known));
    others = List.copyOf(others);
  }

  /** The symbols of a text; a word is one when it is listed, in whatever case it is written. */
  public static PastedSymbols in(String text, Predicate<String> listed) {
    Set<String> known = new LinkedHashSet<>();
    List<String> others =
        BETWEEN
            .splitAsStream(text)
            .filter(
                word -> {
                  String symbol = word.replaceFirst("^\\$", "").toUpperCase(Locale.ROOT);
                  boolean found = listed.test(symbol);
                  if (found) {
                    known.add(symbol);
                  }
                  return !found && LIKE_A_SYMBOL.matcher(word).matches();
                })
            .distinct()
            .toList();
    return new PastedSymbols(known, others);
  }
}
