package kelvo.sim;

import java.util.Arrays;

/** Invented events in columns, in any order, until they are written in order of time. */
final class SessionEvents {
  private static final int INDEX_BITS = 26;

  int size;
  int[] timesMs = new int[1 << 16];
  int[] stocks = new int[1 << 16];
  long[] firsts = new long[1 << 16];
  long[] seconds = new long[1 << 16];
  int[] thirds = new int[1 << 16];
  int[] fourths = new int[1 << 16];

  void add(int timeMs, int stock, long a, long b, int c, int d) {
    if (size == timesMs.length) {
      int capacity = size * 2;
      timesMs = Arrays.copyOf(timesMs, capacity);
      stocks = Arrays.copyOf(stocks, capacity);
      firsts = Arrays.copyOf(firsts, capacity);
      seconds = Arrays.copyOf(seconds, capacity);
      thirds = Arrays.copyOf(thirds, capacity);
      fourths = Arrays.copyOf(fourths, capacity);
    }
    timesMs[size] = timeMs;
    stocks[size] = stock;
    firsts[size] = a;
    seconds[size] = b;
    thirds[size] = c;
    fourths[size++] = d;
  }

  /** The places of all events by time; equal times stay in the order in which they were added. */
  int[] inOrderOfTime() {
    long[] keys = new long[size];
    for (int i = 0; i < size; i++) {
      keys[i] = (long) timesMs[i] << INDEX_BITS | i;
    }
    Arrays.parallelSort(keys);
    int[] order = new int[size];
    for (int i = 0; i < size; i++) {
      order[i] = (int) (keys[i] & (1 << INDEX_BITS) - 1);
    }
    return order;
  }
}
