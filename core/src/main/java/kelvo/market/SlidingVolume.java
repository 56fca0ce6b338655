package kelvo.market;

/**
 * Shares and prints of the last span of time, exact to the print: at moment T it holds what
 * happened in (T - span, T]. Prints may come out of order. Allocates only while it grows.
 */
public final class SlidingVolume {
  private static final int FIRST_CAPACITY = 16;

  private final long span;
  private long[] times = {};
  private long[] sizes = {};
  private int head;
  private int count;
  private long shares;

  /**
   * An empty window.
   *
   * @param span its length in nanoseconds
   */
  public SlidingVolume(long span) {
    this.span = span;
  }

  /** Adds a print at its own time. */
  void add(long at, long size) {
    expire(at);
    if (count == times.length) {
      resize(Math.max(FIRST_CAPACITY, count * 2));
    }
    int mask = times.length - 1;
    int slot = count++;
    while (slot > 0 && times[(head + slot - 1) & mask] > at) {
      times[(head + slot) & mask] = times[(head + slot - 1) & mask];
      sizes[(head + slot) & mask] = sizes[(head + slot - 1) & mask];
      slot--;
    }
    times[(head + slot) & mask] = at;
    sizes[(head + slot) & mask] = size;
    shares += size;
  }

  /** Shares in (now - span, now]. Moments must not go back. */
  public long shares(long now) {
    expire(now);
    return shares;
  }

  /** Prints in (now - span, now]. */
  public int trades(long now) {
    expire(now);
    return count;
  }

  /** When the oldest print in the window leaves it; Long.MAX_VALUE when it is empty. */
  public long nextChange(long now) {
    expire(now);
    return count == 0 ? Long.MAX_VALUE : times[head] + span;
  }

  private void expire(long now) {
    while (count > 0 && times[head] + span <= now) {
      shares -= sizes[head];
      head = (head + 1) & (times.length - 1);
      count--;
    }
  }

  /** Makes this window the same as another of the same span. */
  void copyFrom(SlidingVolume other) {
    if (times.length < other.count) {
      times = new long[Integer.highestOneBit(Math.max(FIRST_CAPACITY, other.count * 2 - 1))];
      sizes = new long[times.length];
    }
    head = 0;
    count = other.count;
    shares = other.shares;
    other.unroll(times, sizes);
  }

  private void resize(int capacity) {
    long[] newTimes = new long[capacity];
    long[] newSizes = new long[capacity];
    unroll(newTimes, newSizes);
    times = newTimes;
    sizes = newSizes;
    head = 0;
  }

  private void unroll(long[] toTimes, long[] toSizes) {
    int firstRun = Math.min(count, times.length - head);
    System.arraycopy(times, head, toTimes, 0, firstRun);
    System.arraycopy(sizes, head, toSizes, 0, firstRun);
    System.arraycopy(times, 0, toTimes, firstRun, count - firstRun);
    System.arraycopy(sizes, 0, toSizes, firstRun, count - firstRun);
  }
}
