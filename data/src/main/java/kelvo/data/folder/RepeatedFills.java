package kelvo.data.folder;

import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.trade.Fill;

/**
 * Takes the rows of a table of fills once. Where the broker gave executions ids, a row with the
 * account, order and execution of one before is left out. Without ids nobody can tell a fill that
 * came twice from two equal fills: two rows or more of different times that follow one another as
 * they did before are a table that was pasted twice, and left out; a single row that equals one
 * before counts, as two equal parts of an order do, and is told.
 */
final class RepeatedFills {
  /**
   * A row.
   *
   * @param execution the broker's id of the execution; empty for none
   */
  record Row(ZonedDateTime at, Fill fill, String execution, long line) {
    private boolean isAs(Row other) {
      return at.equals(other.at) && fill.equals(other.fill);
    }
  }

  private record Execution(String account, String order, String id) {}

  private record Kind(ZonedDateTime at, Fill fill) {}

  private final String file;
  private final Faults faults;

  RepeatedFills(String file, Faults faults) {
    this.file = file;
    this.faults = faults;
  }

  /** The rows that count, in their order. */
  List<Row> once(List<Row> rows) {
    List<Row> withId = new ArrayList<>();
    Set<Execution> executions = new HashSet<>();
    for (Row row : rows) {
      Execution execution =
          new Execution(row.fill().account(), row.fill().orderId(), row.execution());
      if (row.execution().isEmpty() || executions.add(execution)) {
        withId.add(row);
      } else {
        tell(row, "execution_id", "each execution of an order once", row.execution(), true);
      }
    }
    return withoutBlocks(withId);
  }

  private List<Row> withoutBlocks(List<Row> rows) {
    List<Row> kept = new ArrayList<>();
    Map<Kind, List<Integer>> places = new HashMap<>();
    int next = 0;
    while (next < rows.size()) {
      Row row = rows.get(next);
      List<Integer> before =
          places.computeIfAbsent(new Kind(row.at(), row.fill()), k -> new ArrayList<>());
      int length = row.execution().isEmpty() ? longestBlock(rows, next, before) : 0;
      if (length > 0) {
        for (Row again : rows.subList(next, next + length)) {
          tell(again, "", "each fill once, and not the same rows again", text(again), true);
        }
        next += length;
      } else {
        if (!before.isEmpty() && row.execution().isEmpty()) {
          tell(row, "", "each fill once (an equal one is there before)", text(row), false);
        }
        before.add(next);
        kept.add(row);
        next++;
      }
    }
    return kept;
  }

  /** How many rows from one on follow one another as they did from an earlier place on. */
  private static int longestBlock(List<Row> rows, int from, List<Integer> earlier) {
    int longest = 0;
    for (int place : earlier) {
      int length = 0;
      while (from + length < rows.size()
          && place + length < from
          && rows.get(place + length).isAs(rows.get(from + length))) {
        length++;
      }
      boolean ofOneTime =
          length < 2 || rows.get(from).at().equals(rows.get(from + length - 1).at());
      longest = ofOneTime ? longest : Math.max(longest, length);
    }
    return longest;
  }

  private static String text(Row row) {
    return row.at().toLocalTime()
        + " "
        + row.fill().symbol()
        + " "
        + row.fill().side().word()
        + " "
        + row.fill().quantity().toPlainString();
  }

  private void tell(Row row, String column, String expected, String found, boolean leftOut) {
    faults.add(new Fault(file, row.line(), column, expected, found, leftOut));
  }
}
