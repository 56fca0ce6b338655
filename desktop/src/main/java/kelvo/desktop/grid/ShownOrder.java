package kelvo.desktop.grid;

import java.util.Comparator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Orders cells as they stand on screen: numbers by their size, whatever their unit, other texts by
 * letter, empty cells last.
 */
final class ShownOrder {
  private static final Pattern NUMBER =
      Pattern.compile("[×$+]*(-?)[$+]*(\\d[\\d,]*(?:\\.\\d+)?)\\s*([KMB%x]|min)?");

  private ShownOrder() {}

  /** The order of a column's rows, ascending or descending. */
  static <R> Comparator<R> of(GridColumn<R> column, boolean descending) {
    Comparator<String> order =
        Comparator.<String>comparingDouble(ShownOrder::number)
            .thenComparing(Comparator.naturalOrder());
    Comparator<String> directed = descending ? order.reversed() : order;
    return Comparator.comparing(
        row -> column.text().apply(row).strip(),
        Comparator.<String>comparingInt(text -> text.isEmpty() ? 1 : 0).thenComparing(directed));
  }

  /** The number that a cell shows; infinite for "clear", and for words, which stand together. */
  static double number(String text) {
    Matcher matcher = NUMBER.matcher(text);
    if (!matcher.matches()) {
      return Double.POSITIVE_INFINITY;
    }
    double size = Double.parseDouble(matcher.group(2).replace(",", ""));
    double scale =
        switch (matcher.group(3) == null ? "" : matcher.group(3)) {
          case "K" -> 1e3;
          case "M" -> 1e6;
          case "B" -> 1e9;
          default -> 1;
        };
    return (matcher.group(1).isEmpty() ? 1 : -1) * size * scale;
  }
}
