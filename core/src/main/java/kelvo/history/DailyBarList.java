package kelvo.history;

import java.time.LocalDate;
import java.util.AbstractList;
import java.util.List;
import java.util.Objects;
import java.util.RandomAccess;

/**
 * Daily bars as numbers in one array: millions of bars are an object a security, which a collector
 * need not go through. Each bar is made when asked for. Immutable.
 */
final class DailyBarList extends AbstractList<DailyBar> implements RandomAccess {
  private static final int ROW = 7;

  private final long[] rows;

  DailyBarList(List<DailyBar> bars) {
    rows = new long[bars.size() * ROW];
    int row = 0;
    for (DailyBar bar : bars) {
      rows[row] = bar.date().toEpochDay();
      rows[row + 1] = bar.open();
      rows[row + 2] = bar.high();
      rows[row + 3] = bar.low();
      rows[row + 4] = bar.close();
      rows[row + 5] = bar.volume();
      rows[row + 6] = bar.trades();
      row += ROW;
    }
  }

  @Override
  public int size() {
    return rows.length / ROW;
  }

  @Override
  public DailyBar get(int place) {
    int row = Objects.checkIndex(place, size()) * ROW;
    return new DailyBar(
        LocalDate.ofEpochDay(rows[row]),
        rows[row + 1],
        rows[row + 2],
        rows[row + 3],
        rows[row + 4],
        rows[row + 5],
        rows[row + 6]);
  }
}
