package kelvo.news;

import java.util.Set;

/**
 * Whether a headline names a security: by its symbol or by its company's name, as words of their
 * own. A symbol of one letter counts only where it is marked as one, such as {@code (XNYS: A)},
 * {@code (A)} or {@code $A}.
 */
public final class Naming {
  /** What stands behind the names of companies and is left out when one speaks of them. */
  private static final Set<String> LEGAL_FORMS =
      Set.of(
          "inc",
          "incorporated",
          "corp",
          "corporation",
          "co",
          "company",
          "ltd",
          "limited",
          "plc",
          "llc",
          "lp",
          "nv",
          "sa",
          "ag",
          "se",
          "ab",
          "asa",
          "spa",
          "adr",
          "ads",
          "the");

  private Naming() {}

  /** Whether a headline names a security. */
  public static boolean names(String headline, String symbol, String companyName) {
    return namesSymbol(headline, symbol) || namesCompany(headline, companyName);
  }

  /** Whether a headline has a symbol, in capitals. */
  public static boolean namesSymbol(String headline, String symbol) {
    for (int at = headline.indexOf(symbol); at >= 0; at = headline.indexOf(symbol, at + 1)) {
      if (isWord(headline, at, symbol.length())
          && (symbol.length() > 1 || isMarked(headline, at, symbol.length()))) {
        return true;
      }
    }
    return false;
  }

  private static boolean namesCompany(String headline, String companyName) {
    String spoken = spoken(companyName);
    for (int at = 0; !spoken.isEmpty() && at + spoken.length() <= headline.length(); at++) {
      if (headline.regionMatches(true, at, spoken, 0, spoken.length())
          && isWord(headline, at, spoken.length())) {
        return true;
      }
    }
    return false;
  }

  /** A company's name without its legal form: "Quay Robotics" for "Quay Robotics, Inc.". */
  static String spoken(String companyName) {
    String spoken = companyName.strip();
    while (true) {
      int space = spoken.lastIndexOf(' ');
      String last = spoken.substring(space + 1).replaceAll("[^\\p{L}\\p{N}]", "");
      if (space < 0 || !LEGAL_FORMS.contains(last.toLowerCase(java.util.Locale.ROOT))) {
        return spoken.replaceAll("[,.]+$", "");
      }
      spoken = spoken.substring(0, space).strip();
    }
  }

  private static boolean isWord(String text, int at, int length) {
    return !isPartOfWord(text, at - 1) && !isPartOfWord(text, at + length);
  }

  private static boolean isPartOfWord(String text, int at) {
    return at >= 0 && at < text.length() && Character.isLetterOrDigit(text.charAt(at));
  }

  private static boolean isMarked(String text, int at, int length) {
    String before = text.substring(0, at).stripTrailing();
    boolean closed = at + length < text.length() && text.charAt(at + length) == ')';
    return before.endsWith("$") || (closed && (before.endsWith("(") || before.endsWith(":")));
  }
}
