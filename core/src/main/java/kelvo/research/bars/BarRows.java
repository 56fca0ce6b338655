package kelvo.research.bars;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import kelvo.history.SessionMinutes;

/**
 * The minute bars of one security of a session, oldest first, copied out of the columns: one
 * security after another, in the same memory. Prices are {@link kelvo.tape.Price} units. Owned by
 * one thread.
 */
final class BarRows {
  private static final int USUAL = 1024;

  private final SessionMinutes of;
  private int size;
  private short[] minute = new short[USUAL];
  private long[] open = new long[USUAL];
  private long[] high = new long[USUAL];
  private long[] low = new long[USUAL];
  private long[] close = new long[USUAL];
  private long[] volume = new long[USUAL];
  private long[] trades = new long[USUAL];

  BarRows(SessionMinutes of) {
    this.of = of;
  }

  /** Takes the bars of the security at a place of the columns' list. */
  void moveTo(int place) {
    int from = of.volume().start(place);
    size = of.volume().end(place) - from;
    if (size > minute.length) {
      grow();
    }
    MemorySegment.copy(
        of.volume().minutes(), ValueLayout.JAVA_SHORT, (long) from * Short.BYTES, minute, 0, size);
    copy(of.opens(), from, open);
    copy(of.highs(), from, high);
    copy(of.lows(), from, low);
    copy(of.closes(), from, close);
    copy(of.volume().counts(), from, volume);
    if (of.trades() != null) {
      copy(of.trades().counts(), from, trades);
    }
  }

  private void grow() {
    minute = new short[size];
    open = new long[size];
    high = new long[size];
    low = new long[size];
    close = new long[size];
    volume = new long[size];
    trades = new long[size];
  }

  private void copy(MemorySegment column, int from, long[] to) {
    MemorySegment.copy(column, ValueLayout.JAVA_LONG, (long) from * Long.BYTES, to, 0, size);
  }

  int size() {
    return size;
  }

  /** The minute of the day of a bar, which ends a minute later. */
  int minute(int row) {
    return minute[row];
  }

  long open(int row) {
    return open[row];
  }

  long high(int row) {
    return high[row];
  }

  long low(int row) {
    return low[row];
  }

  long close(int row) {
    return close[row];
  }

  long volume(int row) {
    return volume[row];
  }

  /** Prints of a bar; 0 where they were not counted. */
  long trades(int row) {
    return trades[row];
  }

  /** The first bar of a minute or later; {@link #size} when there is none. */
  int firstFrom(int wanted) {
    int row = 0;
    while (row < size && minute[row] < wanted) {
      row++;
    }
    return row;
  }
}
