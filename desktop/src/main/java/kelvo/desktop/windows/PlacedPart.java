package kelvo.desktop.windows;

import kelvo.refusal.RefusedException;

/**
 * A part in a window of its own, and where that stands.
 *
 * @param part the {@link kelvo.desktop.workspace.PartKind#id} of the part
 * @param symbol the symbol that it is pinned to; empty while it follows the focus
 * @param x pixels from the left of the screens
 * @param y pixels from their top
 * @param width pixels
 * @param height pixels
 */
public record PlacedPart(
    String part, String symbol, double x, double y, double width, double height) {
  private static final double MIN_SIZE = 100;
  private static final double MAX_SIZE = 20_000;

  public PlacedPart {
    size("width", width);
    size("height", height);
    if (!Double.isFinite(x) || !Double.isFinite(y)) {
      throw new RefusedException("x and y must be numbers, found " + x + ", " + y);
    }
  }

  private static void size(String name, double pixels) {
    if (!(pixels >= MIN_SIZE && pixels <= MAX_SIZE)) {
      throw new RefusedException(
          name + " must lie between " + MIN_SIZE + " and " + MAX_SIZE + ", found " + pixels);
    }
  }

  /** Whether another window shows the same part of the same symbol. */
  boolean isLike(PlacedPart other) {
    return part.equals(other.part) && symbol.equals(other.symbol);
  }
}
