package kelvo.data.folder;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import kelvo.market.EventTape;

/**
 * The events of one session file in columns, until all files are there and can be merged into one
 * tape.
 *
 * <p>Order: by seq where every file has it; else by time, then kind, then line.
 */
final class EventRows {
  /** Writes one row to the tape; throws IllegalArgumentException when the tape cannot take it. */
  interface Writer {
    void write(EventTape tape, EventRows rows, int row);
  }

  final Writer writer;
  int size;
  long[] seqs = new long[1024];
  long[] times = new long[1024];
  int[] symbols = new int[1024];
  long[] firsts = new long[1024];
  long[] seconds = new long[1024];
  int[] thirds = new int[1024];
  int[] fourths = new int[1024];

  /** Ids of prints and the prints that corrections name; only where the file has them. */
  long[] ids = {};

  /** The lines of a file whose rows can still be refused by the tape. */
  long[] lines = {};

  boolean hasSeq = true;

  /** Whether the rows come from a file, which may have the column. */
  boolean canHaveSeq = true;

  EventRows(Writer writer) {
    this.writer = writer;
  }

  void add(long seq, long at, int symbol, long a, long b, int c, int d) {
    if (size == times.length) {
      grow(size * 2);
    }
    hasSeq &= seq >= 0;
    seqs[size] = seq;
    times[size] = at;
    symbols[size] = symbol;
    firsts[size] = a;
    seconds[size] = b;
    thirds[size] = c;
    fourths[size++] = d;
  }

  /** Gives the newest row the id of its print. */
  void id(long id) {
    if (ids.length < times.length) {
      ids = Arrays.copyOf(ids, times.length);
    }
    ids[size - 1] = id;
  }

  /** Remembers the line of the newest row. */
  void line(long line) {
    if (lines.length < times.length) {
      lines = Arrays.copyOf(lines, times.length);
    }
    lines[size - 1] = line;
  }

  long idOf(int row) {
    return row < ids.length ? ids[row] : EventTape.NO_ID;
  }

  private void grow(int capacity) {
    seqs = Arrays.copyOf(seqs, capacity);
    times = Arrays.copyOf(times, capacity);
    symbols = Arrays.copyOf(symbols, capacity);
    firsts = Arrays.copyOf(firsts, capacity);
    seconds = Arrays.copyOf(seconds, capacity);
    thirds = Arrays.copyOf(thirds, capacity);
    fourths = Arrays.copyOf(fourths, capacity);
  }

  /**
   * Merges files, given in the order of their kinds, into a tape. Where all files with a place for
   * it have seq, the others are put in by their time.
   */
  static EventTape merge(List<EventRows> files, int symbolCount) {
    List<EventRows> numbered = files.stream().filter(f -> f.hasSeq).toList();
    List<EventRows> others = files.stream().filter(f -> !f.hasSeq).toList();
    boolean bySeq = others.stream().noneMatch(f -> f.canHaveSeq);
    EventTape tape = new EventTape(symbolCount);
    Merge timed = new Merge(bySeq ? others : files, false);
    Merge ordered = new Merge(bySeq ? numbered : List.of(), true);
    while (ordered.hasNext()) {
      while (timed.hasNext() && timed.nextTime() < ordered.nextTime()) {
        timed.write(tape);
      }
      ordered.write(tape);
    }
    while (timed.hasNext()) {
      timed.write(tape);
    }
    return tape;
  }

  /** Several files as one row of events, by seq or by time. */
  private static final class Merge {
    private final List<EventRows> files;
    private final long[][] keys;
    private final int[][] orders;
    private final int[] next;

    Merge(List<EventRows> files, boolean bySeq) {
      this.files = files;
      keys = files.stream().map(f -> bySeq ? f.seqs : f.times).toArray(long[][]::new);
      orders = new int[keys.length][];
      for (int f = 0; f < keys.length; f++) {
        orders[f] = order(keys[f], files.get(f).size);
      }
      next = new int[keys.length];
    }

    /** The file whose next row comes first; -1 when there is none. */
    private int earliest() {
      int earliest = -1;
      long least = Long.MAX_VALUE;
      for (int f = 0; f < next.length; f++) {
        if (next[f] < orders[f].length && (earliest < 0 || keys[f][orders[f][next[f]]] < least)) {
          earliest = f;
          least = keys[f][orders[f][next[f]]];
        }
      }
      return earliest;
    }

    boolean hasNext() {
      return earliest() >= 0;
    }

    long nextTime() {
      int file = earliest();
      return files.get(file).times[orders[file][next[file]]];
    }

    void write(EventTape tape) {
      int file = earliest();
      EventRows rows = files.get(file);
      rows.writer.write(tape, rows, orders[file][next[file]++]);
    }
  }

  /** The rows in order of their keys; rows of the same key stay in the order of their lines. */
  private static int[] order(long[] keys, int size) {
    int[] order = IntStream.range(0, size).toArray();
    for (int i = 1; i < size; i++) {
      if (keys[i] < keys[i - 1]) {
        return IntStream.range(0, size)
            .boxed()
            .sorted((a, b) -> Long.compare(keys[a], keys[b]))
            .mapToInt(x -> x)
            .toArray();
      }
    }
    return order;
  }
}
