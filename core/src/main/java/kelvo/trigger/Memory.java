package kelvo.trigger;

import java.util.Arrays;

/** A few whole numbers for each security, side by side: what a detector remembers. */
final class Memory {
  private final int width;
  private final long[] cells;

  /** Room for {@code width} numbers a security, all zero. */
  Memory(int securities, int width) {
    this.width = width;
    cells = new long[securities * width];
  }

  long get(int security, int place) {
    return cells[security * width + place];
  }

  void set(int security, int place, long value) {
    cells[security * width + place] = value;
  }

  /** A copy of a security's numbers. */
  long[] of(int security) {
    return Arrays.copyOfRange(cells, security * width, (security + 1) * width);
  }

  /** Puts a security's numbers back, the first of an array. */
  void restore(int security, long[] numbers) {
    System.arraycopy(numbers, 0, cells, security * width, width);
  }

  void forget(int security) {
    Arrays.fill(cells, security * width, (security + 1) * width, 0);
  }
}
