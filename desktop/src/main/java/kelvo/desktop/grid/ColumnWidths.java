package kelvo.desktop.grid;

import java.util.List;
import kelvo.desktop.theme.TextWidth;
import kelvo.desktop.theme.Theme;

/**
 * How columns share out the width of their grid: each has what it needs, and those that grow take
 * the rest. Columns that need more than there is reach beyond the edge, and are scrolled to.
 */
final class ColumnWidths {
  /** Room left and right of what stands in a cell. */
  static final double PAD = 6;

  private final double[] lefts;

  /** The widths of some columns in a grid. */
  ColumnWidths(List<? extends GridColumn<?>> columns, double available) {
    double[] widths = new double[columns.size()];
    double needed = 0;
    double growing = 0;
    for (int i = 0; i < widths.length; i++) {
      GridColumn<?> column = columns.get(i);
      double title = TextWidth.of(column.title(), Theme.condensed(GridPainter.HEADER_FONT));
      widths[i] = Math.max(column.width(), title + 2 * PAD);
      needed += widths[i];
      growing += column.grow();
    }
    double left = Math.max(0, available - needed);
    lefts = new double[widths.length + 1];
    for (int i = 0; i < widths.length; i++) {
      double part = growing > 0 ? columns.get(i).grow() / growing : 1.0 / widths.length;
      lefts[i + 1] = lefts[i] + Math.floor(widths[i] + left * part);
    }
  }

  double left(int column) {
    return lefts[column];
  }

  double width(int column) {
    return lefts[column + 1] - lefts[column];
  }

  /** All of them together. */
  double all() {
    return lefts[lefts.length - 1];
  }

  /** The column at a place; -1 right of all. */
  int at(double x) {
    for (int i = 0; i + 1 < lefts.length; i++) {
      if (x < lefts[i + 1]) {
        return i;
      }
    }
    return -1;
  }
}
