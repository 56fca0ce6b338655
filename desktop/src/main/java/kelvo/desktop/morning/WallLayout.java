package kelvo.desktop.morning;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Rectangle2D;

/**
 * Where the charts of a wall stand: in rows, each group under a heading of its own.
 *
 * @param boxes of the charts, in their order
 * @param headings one for each run of charts of one group
 * @param height of all of it
 */
record WallLayout(List<Rectangle2D> boxes, List<Heading> headings, double height) {
  private static final double LEAST_WIDTH = 150;
  private static final double TILE_HEIGHT = 62;
  private static final double HEADING_HEIGHT = 22;
  private static final double GAP = 4;

  /** A group's heading, and how many charts stand under it. */
  record Heading(String group, int charts, double middle) {}

  /** The layout of charts of these groups in a width. */
  static WallLayout of(List<String> groups, double width) {
    int columns = Math.max(1, (int) (width / LEAST_WIDTH));
    double tile = width / columns;
    List<Rectangle2D> boxes = new ArrayList<>();
    List<Heading> headings = new ArrayList<>();
    double y = 0;
    int first = 0;
    while (first < groups.size()) {
      String group = groups.get(first);
      int end = first;
      while (end < groups.size() && groups.get(end).equals(group)) {
        end++;
      }
      headings.add(new Heading(group, end - first, y + HEADING_HEIGHT / 2));
      y += HEADING_HEIGHT;
      for (int i = first; i < end; i++) {
        int row = (i - first) / columns;
        boxes.add(
            new Rectangle2D(
                (i - first) % columns * tile,
                y + row * TILE_HEIGHT,
                tile - GAP,
                TILE_HEIGHT - GAP));
      }
      y += (double) Math.ceilDiv(end - first, columns) * TILE_HEIGHT;
      first = end;
    }
    return new WallLayout(List.copyOf(boxes), List.copyOf(headings), y);
  }

  /** The chart at a place; -1 for none. */
  int at(double x, double y) {
    for (int i = 0; i < boxes.size(); i++) {
      if (boxes.get(i).contains(x, y)) {
        return i;
      }
    }
    return -1;
  }
}
