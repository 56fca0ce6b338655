package kelvo.data.folder;

import java.util.Arrays;

/**
 * Which whole numbers have come so far. Most come in ascending order, and cost eight bytes each and
 * a comparison; the others go into a table with open addressing. For one thread.
 */
final class SeenNumbers {
  private static final double FULL = 0.6;

  /** Spreads numbers over the table: the 64-bit constant of Fibonacci hashing, from memory. */
  private static final long SPREAD = 0x9E3779B97F4A7C15L;

  /** Stands for an empty place; the number itself is kept apart. */
  private static final long EMPTY = 0;

  private long[] ascending = new long[8];
  private int size;
  private long[] others = new long[0];
  private int otherCount;
  private boolean zeroCame;

  /** Whether a number has come. */
  boolean contains(long number) {
    if (size == 0 || number > ascending[size - 1]) {
      return false;
    }
    return Arrays.binarySearch(ascending, 0, size, number) >= 0
        || (number == EMPTY ? zeroCame : otherCount > 0 && others[place(number)] == number);
  }

  /** A number has come that had not before. */
  void add(long number) {
    if (size == 0 || number > ascending[size - 1]) {
      if (size == ascending.length) {
        ascending = Arrays.copyOf(ascending, size + (size >> 1));
      }
      ascending[size++] = number;
    } else if (number == EMPTY) {
      zeroCame = true;
    } else {
      addOther(number);
    }
  }

  private void addOther(long number) {
    if (otherCount + 1 > others.length * FULL) {
      long[] before = others;
      others = new long[Math.max(16, 2 * before.length)];
      for (long one : before) {
        if (one != EMPTY) {
          others[place(one)] = one;
        }
      }
    }
    others[place(number)] = number;
    otherCount++;
  }

  /** Where a number is or would be; the length of the table is a power of two. */
  private int place(long number) {
    int mask = others.length - 1;
    int place = (int) ((number * SPREAD) >>> Integer.SIZE) & mask;
    while (others[place] != EMPTY && others[place] != number) {
      place = (place + 1) & mask;
    }
    return place;
  }
}
