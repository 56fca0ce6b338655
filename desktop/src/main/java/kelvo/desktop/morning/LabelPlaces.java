package kelvo.desktop.morning;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** Where labels stand in a picture, so that no label stands on another. Pixels. */
final class LabelPlaces {
  private static final double HEIGHT = 12;
  private static final double STEP = 3;

  private final List<Place> taken = new ArrayList<>();

  private record Place(double left, double right, double middle) {
    boolean meets(Place other) {
      return left < other.right && right > other.left && Math.abs(middle - other.middle) < HEIGHT;
    }
  }

  /** Takes a place if it is free. */
  boolean take(double left, double width, double middle) {
    Place place = new Place(left, left + width, middle);
    if (taken.stream().anyMatch(place::meets)) {
      return false;
    }
    taken.add(place);
    return true;
  }

  /**
   * Takes the free place nearest above a height, else below it.
   *
   * @return its middle; nothing when the picture is full there
   */
  OptionalDouble takeNear(double left, double width, double middle, double top, double bottom) {
    for (double y = middle; y >= top; y -= STEP) {
      if (take(left, width, y)) {
        return OptionalDouble.of(y);
      }
    }
    for (double y = middle; y <= bottom; y += STEP) {
      if (take(left, width, y)) {
        return OptionalDouble.of(y);
      }
    }
    return OptionalDouble.empty();
  }
}
