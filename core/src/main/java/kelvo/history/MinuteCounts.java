package kelvo.history;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.List;

/**
 * Counts of one session by security and minute of the day, as columns on the heap or in a file that
 * is mapped. Immutable.
 *
 * @param symbols the securities that have any
 * @param ends by symbol, the number of rows up to and including its own, as ints
 * @param minutes by row, the minute of the day since midnight, as shorts
 * @param counts by row, the count, as longs
 */
public record MinuteCounts(
    List<String> symbols, MemorySegment ends, MemorySegment minutes, MemorySegment counts) {
  public MinuteCounts {
    symbols = List.copyOf(symbols);
  }

  /** The first row of a symbol by its place in the list. */
  public int start(int place) {
    return place == 0 ? 0 : end(place - 1);
  }

  /** The row after the last of a symbol. */
  public int end(int place) {
    return ends.getAtIndex(ValueLayout.JAVA_INT, place);
  }

  /** The minute of the day of a row. */
  public int minute(int row) {
    return minutes.getAtIndex(ValueLayout.JAVA_SHORT, row);
  }

  /** The count of a row. */
  public long count(int row) {
    return counts.getAtIndex(ValueLayout.JAVA_LONG, row);
  }

  /**
   * Adds a symbol's counts to sums.
   *
   * @param place its place in the list
   * @param factor what each count is multiplied by
   * @param sums by minute
   * @param first the minute of the day of the first sum; what lies outside is left out
   */
  public void addTo(int place, double factor, double[] sums, int first) {
    int from = start(place);
    int rows = end(place) - from;
    short[] minute = new short[rows];
    long[] count = new long[rows];
    MemorySegment.copy(minutes, ValueLayout.JAVA_SHORT, (long) from * Short.BYTES, minute, 0, rows);
    MemorySegment.copy(counts, ValueLayout.JAVA_LONG, (long) from * Long.BYTES, count, 0, rows);
    for (int row = 0; row < rows; row++) {
      int at = minute[row] - first;
      if (at >= 0 && at < sums.length) {
        sums[at] += count[row] * factor;
      }
    }
  }
}
