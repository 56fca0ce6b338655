package kelvo.scan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntFunction;
import kelvo.field.Field;
import kelvo.market.Session;
import kelvo.market.SymbolState;

/**
 * Who fits one scan at a moment, in the scan's order, with the scan's columns. Owned by one thread.
 */
public final class Matches {
  private final Scan scan;
  private final Session session;
  private final ScanCheck check;
  private final List<Field.Reading> sortReadings;
  private final List<Field.Reading> columnReadings;

  /** A cell of a column of words. */
  private static final Field.Reading NO_NUMBER = (state, now) -> Double.NaN;

  /** Prepares a scan for a session. */
  public Matches(Scan scan, Session session) {
    this.scan = scan;
    this.session = session;
    check = new ScanCheck(scan, session);
    sortReadings = scan.sort().stream().map(order -> order.field().bind(session)).toList();
    columnReadings =
        scan.columns().stream()
            .map(c -> c instanceof Field.Number n ? n.bind(session) : NO_NUMBER)
            .toList();
  }

  /** The scan. */
  public Scan scan() {
    return scan;
  }

  /**
   * One match.
   *
   * @param security its number in the session
   * @param scan the scan whose columns these are
   * @param values the number columns' values, NaN when unknown
   * @param words the word columns' values, empty for numbers
   */
  public record Row(int security, Scan scan, double[] values, String[] words) {
    /** A cell as shown on screen. */
    public String text(int column) {
      Field field = scan.columns().get(column);
      return field instanceof Field.Word ? words[column] : field.unit().text(values[column]);
    }

    /** A cell for files. */
    public String plain(int column) {
      Field field = scan.columns().get(column);
      return field instanceof Field.Word ? words[column] : field.unit().plain(values[column]);
    }
  }

  /**
   * All matches at a moment, also beyond the scan's limit. Outside the scan's window there are
   * none.
   */
  public List<Row> at(IntFunction<SymbolState> states, long now) {
    List<Row> rows = new ArrayList<>();
    if (!scan.open(now)) {
      return rows;
    }
    int phase = session.phases().indexAt(now);
    int count = session.securities().size();
    Integer[] fitting = new Integer[count];
    int found = 0;
    for (int i = 0; i < count; i++) {
      if (check.holds(states.apply(i), now, phase)) {
        fitting[found++] = i;
      }
    }
    java.util.Arrays.sort(fitting, 0, found, order(states, now));
    for (int i = 0; i < found; i++) {
      rows.add(row(fitting[i], states.apply(fitting[i]), now));
    }
    return rows;
  }

  private Comparator<Integer> order(IntFunction<SymbolState> states, long now) {
    Comparator<Integer> bySymbol = Comparator.comparing(i -> session.security(i).symbol());
    SortOrder order = null;
    Field.Reading reading = NO_NUMBER;
    for (int i = 0; i < scan.sort().size(); i++) {
      if (scan.sort().get(i).from() <= now) {
        order = scan.sort().get(i);
        reading = sortReadings.get(i);
      }
    }
    if (order == null) {
      return bySymbol;
    }
    Field.Reading key = reading;
    double sign = order.descending() ? -1 : 1;
    return Comparator.<Integer>comparingDouble(
            i -> {
              double value = key.at(states.apply(i), now);
              return Double.isNaN(value) ? Double.POSITIVE_INFINITY : sign * value;
            })
        .thenComparing(bySymbol);
  }

  private Row row(int security, SymbolState state, long now) {
    int count = columnReadings.size();
    double[] values = new double[count];
    String[] words = new String[count];
    for (int i = 0; i < count; i++) {
      values[i] = columnReadings.get(i).at(state, now);
      words[i] =
          scan.columns().get(i) instanceof Field.Word word
              ? word.of(session.security(security))
              : "";
    }
    return new Row(security, scan, values, words);
  }
}
