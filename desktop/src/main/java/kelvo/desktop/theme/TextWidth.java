package kelvo.desktop.theme;

import java.util.HashMap;
import java.util.Map;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/**
 * How wide words are in a font, for what is painted by hand. Adds up the widths of letters, each
 * measured once. Only for the window's thread.
 */
public final class TextWidth {
  private static final Map<Font, Map<Character, Double>> LETTERS = new HashMap<>();
  private static final String MARK = "…";

  private TextWidth() {}

  /** The width in pixels. */
  public static double of(String words, Font font) {
    Map<Character, Double> letters = LETTERS.computeIfAbsent(font, f -> new HashMap<>());
    double width = 0;
    for (int i = 0; i < words.length(); i++) {
      width += letters.computeIfAbsent(words.charAt(i), letter -> measured(letter, font));
    }
    return width;
  }

  private static double measured(char letter, Font font) {
    Text text = new Text(Character.toString(letter));
    text.setFont(font);
    return text.getLayoutBounds().getWidth();
  }

  /** The words if they fit, else as many letters as do, with a mark that some are missing. */
  public static String cut(String words, Font font, double width) {
    if (of(words, font) <= width) {
      return words;
    }
    double left = width - of(MARK, font);
    int end = 0;
    while (end < words.length()) {
      left -= of(words.substring(end, end + 1), font);
      if (left < 0) {
        break;
      }
      end++;
    }
    return words.substring(0, end).stripTrailing() + MARK;
  }
}
