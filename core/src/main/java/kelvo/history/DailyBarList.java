package kelvo.history;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.time.LocalDate;
import java.util.AbstractList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.RandomAccess;

/**
 * Daily bars as rows of numbers side by side, on the heap or in a file that is mapped: millions of
 * bars are an object a security, which a collector need not go through. Each bar is made when asked
 * for; who walks many asks for the numbers themselves. Oldest first, bars of the same date in the
 * order in which they were told. Immutable.
 */
public final class DailyBarList extends AbstractList<DailyBar> implements RandomAccess {
  /** No bars. */
  public static final DailyBarList NONE = of(List.of());

  /** The length of a bar in {@link #rows}. */
  public static final int ROW_BYTES = 7 * Long.BYTES;

  private static final int DATE = 0;
  private static final int OPEN = 1 * Long.BYTES;
  private static final int HIGH = 2 * Long.BYTES;
  private static final int LOW = 3 * Long.BYTES;
  private static final int CLOSE = 4 * Long.BYTES;
  private static final int VOLUME = 5 * Long.BYTES;
  private static final int TRADES = 6 * Long.BYTES;

  private final MemorySegment rows;

  /** The bars whose rows lie in memory as {@link #rows} tells them. */
  public DailyBarList(MemorySegment rows) {
    this.rows = rows.asReadOnly();
  }

  /** Some bars in the order of their dates. */
  public static DailyBarList of(List<DailyBar> bars) {
    List<DailyBar> sorted = bars.stream().sorted(Comparator.comparing(DailyBar::date)).toList();
    MemorySegment rows = MemorySegment.ofArray(new long[sorted.size() * (ROW_BYTES / Long.BYTES)]);
    for (int place = 0; place < sorted.size(); place++) {
      DailyBar bar = sorted.get(place);
      long row = (long) place * ROW_BYTES;
      rows.set(ValueLayout.JAVA_LONG, row + DATE, bar.date().toEpochDay());
      rows.set(ValueLayout.JAVA_LONG, row + OPEN, bar.open());
      rows.set(ValueLayout.JAVA_LONG, row + HIGH, bar.high());
      rows.set(ValueLayout.JAVA_LONG, row + LOW, bar.low());
      rows.set(ValueLayout.JAVA_LONG, row + CLOSE, bar.close());
      rows.set(ValueLayout.JAVA_LONG, row + VOLUME, bar.volume());
      rows.set(ValueLayout.JAVA_LONG, row + TRADES, bar.trades());
    }
    return new DailyBarList(rows);
  }

  /** The bars one after the other, {@link #ROW_BYTES} each. */
  public MemorySegment rows() {
    return rows;
  }

  @Override
  public int size() {
    return Math.toIntExact(rows.byteSize() / ROW_BYTES);
  }

  @Override
  public DailyBar get(int place) {
    return new DailyBar(
        LocalDate.ofEpochDay(at(place, DATE)),
        at(place, OPEN),
        at(place, HIGH),
        at(place, LOW),
        at(place, CLOSE),
        at(place, VOLUME),
        at(place, TRADES));
  }

  /** The open of a bar, {@link kelvo.tape.Price} units. */
  public long open(int place) {
    return at(place, OPEN);
  }

  /** The close of a bar, likewise. */
  public long close(int place) {
    return at(place, CLOSE);
  }

  /** The high of a bar, likewise. */
  public long high(int place) {
    return at(place, HIGH);
  }

  /** The low of a bar, likewise. */
  public long low(int place) {
    return at(place, LOW);
  }

  /** The shares of a bar. */
  public long volume(int place) {
    return at(place, VOLUME);
  }

  private long at(int place, int column) {
    return rows.get(
        ValueLayout.JAVA_LONG, (long) Objects.checkIndex(place, size()) * ROW_BYTES + column);
  }

  /** How many bars are of a day before a date. */
  int countBefore(LocalDate date) {
    long day = date.toEpochDay();
    int low = 0;
    int high = size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (at(middle, DATE) < day) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** The newest bars, or all when there are fewer; nothing is copied. */
  DailyBarList newest(int most) {
    int count = Math.min(most, size());
    return new DailyBarList(rows.asSlice((long) (size() - count) * ROW_BYTES));
  }

  /** The first bars; nothing is copied. */
  DailyBarList first(int count) {
    return new DailyBarList(rows.asSlice(0, (long) count * ROW_BYTES));
  }
}
