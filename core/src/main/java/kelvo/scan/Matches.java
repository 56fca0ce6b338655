package kelvo.scan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.IntFunction;
import kelvo.field.Field;
import kelvo.field.RecentHits;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/**
 * Who fits one scan at a moment, in the scan's order, with the scan's columns. Owned by one thread.
 */
public final class Matches {
  private final Scan scan;
  private final ScanCheck check;
  private final Session session;
  private final ScanOrder order;
  private final List<Field.Reading> columnReadings;

  /** A cell of a column of words. */
  private static final Field.Reading NO_NUMBER = (state, now) -> Double.NaN;

  /** Prepares a scan for a session. */
  public Matches(Scan scan, Session session) {
    this.scan = scan;
    this.session = session;
    check = new ScanCheck(scan, session);
    order = new ScanOrder(scan, session);
    columnReadings =
        scan.columns().stream()
            .map(
                c ->
                    c instanceof Field.Number n
                        ? RecentHits.in(n, scan.name()).bind(session)
                        : NO_NUMBER)
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
    int inForce = order.at(now);
    return order.comparing(i -> order.key(inForce, states.apply(i), now));
  }

  private Row row(int security, SymbolState state, long now) {
    int count = columnReadings.size();
    double[] values = new double[count];
    String[] words = new String[count];
    for (int i = 0; i < count; i++) {
      values[i] = columnReadings.get(i).at(state, now);
      words[i] = scan.columns().get(i) instanceof Field.Word word ? word.of(state, now) : "";
    }
    return new Row(security, scan, values, words);
  }
}
