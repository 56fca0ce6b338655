package kelvo.desktop.grid;

import java.util.function.Function;
import kelvo.desktop.theme.Tone;

/**
 * A column of a {@link Grid}.
 *
 * @param title header; long ones wrap to two lines
 * @param help one sentence about it
 * @param width in pixels
 * @param right whether it is aligned to the right, as numbers are
 * @param text what a row shows
 * @param tone in which colour
 */
public record GridColumn<R>(
    String title,
    String help,
    double width,
    boolean right,
    Function<R, String> text,
    Function<R, Tone> tone) {
  /** A column of words. */
  public static <R> GridColumn<R> words(
      String title, String help, double width, Function<R, String> text) {
    return new GridColumn<>(title, help, width, false, text, row -> Tone.INK);
  }

  /** A column of numbers. */
  public static <R> GridColumn<R> numbers(
      String title, String help, double width, Function<R, String> text) {
    return new GridColumn<>(title, help, width, true, text, row -> Tone.INK);
  }

  /** This column in another tone. */
  public GridColumn<R> toned(Function<R, Tone> other) {
    return new GridColumn<>(title, help, width, right, text, other);
  }
}
