package kelvo.rule;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Takes lists of sentences apart as people type them. What stands in brackets stays together. */
public final class SentenceList {
  private static final String OR = " or ";

  private SentenceList() {}

  /** The parts between a character, without spaces around them; empty ones left out. */
  public static List<String> split(String text, char between) {
    return parts(text, String.valueOf(between));
  }

  /** The sentences of which one must hold, joined by " or "; "or unknown" belongs to its rule. */
  static List<String> splitAtOr(String text) {
    return parts(text, OR);
  }

  private static List<String> parts(String text, String between) {
    List<String> parts = new ArrayList<>();
    int depth = 0;
    int start = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      depth = Math.max(0, depth + (c == '(' ? 1 : c == ')' ? -1 : 0));
      if (depth == 0 && text.startsWith(between, i) && !isOrUnknown(text, i)) {
        add(parts, text.substring(start, i));
        i += between.length() - 1;
        start = i + 1;
      }
    }
    add(parts, text.substring(start));
    return parts;
  }

  private static boolean isOrUnknown(String text, int at) {
    return text.toLowerCase(Locale.ROOT).startsWith(OR + "unknown", at);
  }

  private static void add(List<String> parts, String part) {
    if (!part.isBlank()) {
      parts.add(part.strip());
    }
  }
}
