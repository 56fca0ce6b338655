package kelvo.desktop.grid;

import java.util.function.Function;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.theme.Tone;
import org.jspecify.annotations.Nullable;

/**
 * A column of a {@link Grid}.
 *
 * @param title header, on one line
 * @param help one sentence about it
 * @param width in pixels, at least; a longer title makes it wider
 * @param grow which part of the width that is left it takes, against the other columns
 * @param right whether it is aligned to the right, as numbers are
 * @param text what a row says, also when it is copied, exported or sorted
 * @param tone in which colour
 * @param strong whether it stands out, as symbols do
 * @param picture what is painted instead of the text; null for none
 */
public record GridColumn<R>(
    String title,
    String help,
    double width,
    double grow,
    boolean right,
    Function<R, String> text,
    Function<R, Tone> tone,
    boolean strong,
    @Nullable Picture<R> picture) {
  private static final double SYMBOL = 74;

  /** With the arrow of a side before it. */
  private static final double SYMBOL_WITH_SIDE = 92;

  /** Paints a cell. */
  @FunctionalInterface
  public interface Picture<R> {
    void paint(GraphicsContext g, Theme theme, R row, Rectangle2D cell);
  }

  /** A column of words; they take what room there is. */
  public static <R> GridColumn<R> words(
      String title, String help, double width, Function<R, String> text) {
    return new GridColumn<>(title, help, width, 1, false, text, row -> Tone.INK, false, null);
  }

  /** A column of numbers. */
  public static <R> GridColumn<R> numbers(
      String title, String help, double width, Function<R, String> text) {
    return new GridColumn<>(title, help, width, 0, true, text, row -> Tone.INK, false, null);
  }

  /** A column of symbols. */
  public static <R> GridColumn<R> symbols(Function<R, String> symbol) {
    return new GridColumn<>(
        "symbol", "The ticker.", SYMBOL, 0, false, symbol, row -> Tone.INK, true, null);
  }

  /** A column of symbols with an arrow before each. */
  public static <R> GridColumn<R> symbolsWithSide(Function<R, String> symbol) {
    return new GridColumn<>(
        "symbol",
        "The ticker; ▲ long, ▼ short.",
        SYMBOL_WITH_SIDE,
        0,
        false,
        symbol,
        row -> Tone.INK,
        true,
        null);
  }

  /** This column in the stronger font. */
  public GridColumn<R> strongly() {
    return new GridColumn<>(title, help, width, grow, right, text, tone, true, picture);
  }

  /** This column in another tone. */
  public GridColumn<R> toned(Function<R, Tone> other) {
    return new GridColumn<>(title, help, width, grow, right, text, other, strong, picture);
  }

  /** This column with another part of the width that is left. */
  public GridColumn<R> growing(double part) {
    return new GridColumn<>(title, help, width, part, right, text, tone, strong, picture);
  }

  /** This column with pictures in its cells. */
  public GridColumn<R> painted(Picture<R> other) {
    return new GridColumn<>(title, help, width, grow, right, text, tone, strong, other);
  }
}
