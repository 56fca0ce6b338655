package kelvo.desktop.morning;

import java.awt.geom.Line2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Where labels stand in a picture, so that no label stands on another. Pixels. */
final class LabelPlaces {
  private static final double HEIGHT = 12;
  private static final double STEP = 3;

  private static final double GAP = 3;
  private static final double FARTHEST_BELOW = 36;
  private static final double[] DISTANCES = {6, 12, 20, 32, 46, 62, 80};
  private static final double[][] WAYS = {
    {1, 0},
    {1, -0.7},
    {1, 0.7},
    {-1, 0},
    {-1, -0.7},
    {-1, 0.7},
    {0.4, -1},
    {-0.4, -1},
    {0.4, 1},
    {-0.4, 1}
  };

  private final List<double[]> dots = new ArrayList<>();
  private final List<Place> taken = new ArrayList<>();

  private record Place(double left, double right, double middle) {
    boolean meets(Place other) {
      return left < other.right && right > other.left && Math.abs(middle - other.middle) < HEIGHT;
    }
  }

  /** Where a label stands, and where the line to what it names begins and ends. */
  record Label(double left, double middle, double lineX, double lineY, double endX) {}

  /** A dot on which no label is to stand. */
  void avoid(double x, double y, double radius) {
    dots.add(new double[] {x, y, radius});
  }

  /**
   * Takes the nearest free place beside a dot, on no other dot and no other label.
   *
   * @param apart how far from the dot's middle its line begins
   * @return nothing when there is none near it
   */
  Optional<Label> beside(double x, double y, double apart, double width, double right) {
    for (double distance : DISTANCES) {
      for (double[] way : WAYS) {
        double endX = x + way[0] * (apart + distance);
        double middle = y + way[1] * distance;
        double left = way[0] > 0 ? endX + GAP : endX - GAP - width;
        if (middle >= HEIGHT / 2
            && left >= 2
            && left + width <= right - 2
            && isClear(left, width, middle)
            && !crosses(x, y, endX, middle)
            && take(left, width, middle)) {
          return Optional.of(
              new Label(
                  left, middle, x + way[0] * apart, y + way[1] * Math.min(apart, distance), endX));
        }
      }
    }
    return Optional.empty();
  }

  /** Whether a line would go through a label that stands already. */
  private boolean crosses(double fromX, double fromY, double toX, double toY) {
    return taken.stream()
        .anyMatch(
            place ->
                Line2D.linesIntersect(
                        fromX, fromY, toX, toY, place.left, place.middle, place.right, place.middle)
                    || Line2D.linesIntersect(
                        fromX,
                        fromY,
                        toX,
                        toY,
                        (place.left + place.right) / 2,
                        place.middle - HEIGHT / 2,
                        (place.left + place.right) / 2,
                        place.middle + HEIGHT / 2));
  }

  private boolean isClear(double left, double width, double middle) {
    for (double[] dot : dots) {
      double nearestX = Math.clamp(dot[0], left, left + width);
      double nearestY = Math.clamp(dot[1], middle - HEIGHT / 2, middle + HEIGHT / 2);
      if (Math.hypot(dot[0] - nearestX, dot[1] - nearestY) < dot[2] + 1) {
        return false;
      }
    }
    return true;
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
      if (isClear(left, width, y) && take(left, width, y)) {
        return OptionalDouble.of(y);
      }
    }
    for (double y = middle; y <= Math.min(bottom, middle + FARTHEST_BELOW); y += STEP) {
      if (isClear(left, width, y) && take(left, width, y)) {
        return OptionalDouble.of(y);
      }
    }
    return OptionalDouble.empty();
  }
}
