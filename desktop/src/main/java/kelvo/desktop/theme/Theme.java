package kelvo.desktop.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/**
 * The two looks. Their colours stand in one style sheet each; canvases read them from there too.
 */
public enum Theme {
  DAYBREAK(new PrimerLight().getUserAgentStylesheet()),
  NIGHT(new PrimerDark().getUserAgentStylesheet());

  private static final String TEXT = "IBM Plex Sans";
  private static final String CONDENSED = "IBM Plex Sans Condensed";

  /** A weight is a family of its own in these fonts. */
  private static final String STRONG = " SemiBold";

  private static final List<String> WEIGHTS = List.of("400Regular", "500Medium", "600SemiBold");

  private static final Pattern FONT_SIZE = Pattern.compile("-fx-font-size: (\\d+)px");

  private static double textSize = 1;

  private final String base;
  private final Map<String, Color> colours = new HashMap<>();

  Theme(String base) {
    this.base = base;
    Matcher matcher =
        Pattern.compile("-kelvo-([a-z-]+):\\s*(#[0-9A-Fa-f]{6})").matcher(text(file()));
    while (matcher.find()) {
      colours.put(matcher.group(1), Color.web(matcher.group(2)));
    }
  }

  /** The theme of a word. */
  public static Theme of(String word) {
    return valueOf(word.toUpperCase(Locale.ROOT));
  }

  /** The other one. */
  public Theme other() {
    return this == DAYBREAK ? NIGHT : DAYBREAK;
  }

  /** The word in options and file names. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  private String file() {
    return name().toLowerCase(Locale.ROOT) + ".css";
  }

  /** The library's style sheet that lies under ours. */
  public String baseStyles() {
    return base;
  }

  /** Our style sheets, in order. */
  public List<String> styles() {
    return List.of(url(file()), textSize == 1 ? url("parts.css") : sized("parts.css"));
  }

  /** Draws all letters and figures so many times as large from now on; the window's thread. */
  public static void textSize(double times) {
    textSize = times;
  }

  /** A style sheet with its letters in the size that is set. */
  private static String sized(String file) {
    String styles =
        FONT_SIZE
            .matcher(text(file))
            .replaceAll(
                found ->
                    String.format(
                        Locale.ROOT,
                        "-fx-font-size: %.2fpx",
                        Integer.parseInt(found.group(1)) * textSize));
    return "data:text/css;base64,"
        + Base64.getEncoder().encodeToString(styles.getBytes(StandardCharsets.UTF_8));
  }

  /** The colour of a tone. */
  public Color colour(Tone tone) {
    Color colour = colours.get(tone.token());
    if (colour == null) {
      throw new IllegalStateException("the theme has no colour " + tone.token());
    }
    return colour;
  }

  /** The letters of text as TrueType, for what is written to files. */
  public static InputStream textFont() {
    InputStream font =
        Theme.class.getResourceAsStream(
            "/kelvo/desktop/fonts/" + TEXT.replace(" ", "") + "_" + WEIGHTS.getFirst() + ".ttf");
    return Objects.requireNonNull(font, "the fonts that ship with Kelvo are missing");
  }

  /** Loads the fonts that ship with Kelvo. Call once, before the first window. */
  public static void loadFonts() {
    for (String family : List.of(TEXT, CONDENSED)) {
      for (String weight : WEIGHTS) {
        String file = family.replace(" ", "") + "_" + weight + ".ttf";
        try (InputStream in = Theme.class.getResourceAsStream("/kelvo/desktop/fonts/" + file)) {
          Font.loadFont(in, 12);
        } catch (IOException e) {
          throw new UncheckedIOException(e);
        }
      }
    }
  }

  /** The font of symbols, prices and text at a size. Its figures all have one width. */
  public static Font font(double size) {
    return Font.font(TEXT, size * textSize);
  }

  /** The heavier one. */
  public static Font strongFont(double size) {
    return Font.font(TEXT + STRONG, size * textSize);
  }

  /** The font of labels, headers, secondary numbers and reasons at a size. */
  public static Font condensed(double size) {
    return Font.font(CONDENSED, size * textSize);
  }

  /** The heavier one. */
  public static Font strongCondensed(double size) {
    return Font.font(CONDENSED + STRONG, size * textSize);
  }

  private static String url(String file) {
    return String.valueOf(Theme.class.getResource("/kelvo/desktop/theme/" + file));
  }

  private static String text(String file) {
    try (InputStream in = Theme.class.getResourceAsStream("/kelvo/desktop/theme/" + file)) {
      if (in == null) {
        throw new IllegalStateException("the style sheet " + file + " is missing from this build");
      }
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
