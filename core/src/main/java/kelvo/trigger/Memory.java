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

  void forget(int security) {
    Arrays.fill(cells, security * width, (security + 1) * width, 0);
  }
}
