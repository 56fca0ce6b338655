package kelvo.data.folder;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import kelvo.tape.EventTape;
import org.jspecify.annotations.Nullable;

/**
 * The events of one session file, until all files are there and can be merged into one tape. Rows
 * lie in blocks, which are let go as the merge passes them, so that a large file is in memory about
 * once.
 *
 * <p>Order: by seq where every file has it; else by time, then kind, then line.
 */
final class EventRows {
  /** Writes one row to the tape; throws RefusedException when the tape cannot take it. */
  interface Writer {
    void write(EventTape tape, EventRows rows, int row);
  }

  private static final int BLOCK_BITS = 16;
  private static final int IN_BLOCK = (1 << BLOCK_BITS) - 1;
  private static final long NO_SEQ = -1;

  private final Writer writer;
  private final List<@Nullable Block> blocks = new ArrayList<>();
  private Block newest = new Block();
  private int size;
  private boolean hasSeq = true;
  private final boolean canHaveSeq;
  private boolean bySeq = true;
  private boolean byTime = true;

  /** So many rows, a column each; seldom columns are there once a row has one. */
  private static final class Block {
    private final long[] times = new long[IN_BLOCK + 1];
    private final int[] symbols = new int[IN_BLOCK + 1];
    private final long[] firsts = new long[IN_BLOCK + 1];
    private final long[] seconds = new long[IN_BLOCK + 1];
    private final int[] thirds = new int[IN_BLOCK + 1];
    private final int[] fourths = new int[IN_BLOCK + 1];
    private long @Nullable [] seqs;
    private long @Nullable [] ids;
    private long @Nullable [] lines;
  }

  /** The rows of a file, which may have the column seq. */
  static EventRows ofFile(Writer writer) {
    return new EventRows(writer, true);
  }

  /** Rows that come from no file and so can have no seq. */
  static EventRows withoutSeq(Writer writer) {
    return new EventRows(writer, false);
  }

  private EventRows(Writer writer, boolean canHaveSeq) {
    this.writer = writer;
    this.canHaveSeq = canHaveSeq;
  }

  /** Adds a row; a negative seq is none. */
  void add(long seq, long at, int symbol, long a, long b, int c, int d) {
    int place = size & IN_BLOCK;
    byTime &= size == 0 || at >= time(size - 1);
    bySeq &= size == 0 || seq >= seq(size - 1);
    if (place == 0) {
      newest = new Block();
      blocks.add(newest);
    }
    newest.times[place] = at;
    newest.symbols[place] = symbol;
    newest.firsts[place] = a;
    newest.seconds[place] = b;
    newest.thirds[place] = c;
    newest.fourths[place] = d;
    hasSeq &= seq >= 0;
    if (hasSeq) {
      newest.seqs = with(newest.seqs, place, seq);
    }
    size++;
  }

  /** Gives the newest row the id of its print. */
  void nameNewest(long id) {
    newest.ids = with(newest.ids, size - 1 & IN_BLOCK, id);
  }

  /** Remembers the line of the newest row, which the tape can still refuse. */
  void placeNewest(long line) {
    newest.lines = with(newest.lines, size - 1 & IN_BLOCK, line);
  }

  private static long[] with(long @Nullable [] column, int place, long value) {
    long[] written = column == null ? new long[IN_BLOCK + 1] : column;
    written[place] = value;
    return written;
  }

  int size() {
    return size;
  }

  private Block block(int row) {
    Block block = blocks.get(row >>> BLOCK_BITS);
    if (block == null) {
      throw new IllegalStateException("row " + row + " has been let go");
    }
    return block;
  }

  long time(int row) {
    return block(row).times[row & IN_BLOCK];
  }

  int symbol(int row) {
    return block(row).symbols[row & IN_BLOCK];
  }

  long first(int row) {
    return block(row).firsts[row & IN_BLOCK];
  }

  long second(int row) {
    return block(row).seconds[row & IN_BLOCK];
  }

  int third(int row) {
    return block(row).thirds[row & IN_BLOCK];
  }

  int fourth(int row) {
    return block(row).fourths[row & IN_BLOCK];
  }

  private long seq(int row) {
    long[] seqs = block(row).seqs;
    return seqs == null ? NO_SEQ : seqs[row & IN_BLOCK];
  }

  /** The id of a row's print; {@link EventTape#NO_ID} when the file has none. */
  long id(int row) {
    long[] ids = block(row).ids;
    return ids == null ? EventTape.NO_ID : ids[row & IN_BLOCK];
  }

  /** The line of a row; 0 when it was not kept. */
  long line(int row) {
    long[] lines = block(row).lines;
    return lines == null ? 0 : lines[row & IN_BLOCK];
  }

  /**
   * Merges files, given in the order of their kinds, into a tape, and lets their rows go. Where all
   * files with a place for it have seq, the others are put in by their time.
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
    private final List<Walk> walks;

    /** The walk whose next row comes first; null at the end. */
    private @Nullable Walk earliest;

    Merge(List<EventRows> files, boolean bySeq) {
      walks = files.stream().map(f -> new Walk(f, bySeq)).toList();
      look();
    }

    private void look() {
      earliest = null;
      for (Walk walk : walks) {
        if (!walk.ended() && (earliest == null || walk.key < earliest.key)) {
          earliest = walk;
        }
      }
    }

    boolean hasNext() {
      return earliest != null;
    }

    long nextTime() {
      return next().rows.time(next().row());
    }

    void write(EventTape tape) {
      Walk walk = next();
      walk.rows.writer.write(tape, walk.rows, walk.row());
      walk.step();
      look();
    }

    private Walk next() {
      if (earliest == null) {
        throw new IllegalStateException("there is no row any more");
      }
      return earliest;
    }
  }

  /** Goes through the rows of a file in the order of their keys, and lets go what lies behind. */
  private static final class Walk {
    private final EventRows rows;
    private final boolean bySeq;

    /** The rows in order; null when they lie in order already. */
    private final int @Nullable [] order;

    private int place;
    private long key;

    Walk(EventRows rows, boolean bySeq) {
      this.rows = rows;
      this.bySeq = bySeq;
      order = (bySeq ? rows.bySeq : rows.byTime) ? null : order();
      look();
    }

    /** Rows of the same key stay in the order of their lines. */
    private int[] order() {
      return IntStream.range(0, rows.size)
          .boxed()
          .sorted((a, b) -> Long.compare(keyOf(a), keyOf(b)))
          .mapToInt(x -> x)
          .toArray();
    }

    private long keyOf(int row) {
      return bySeq ? rows.seq(row) : rows.time(row);
    }

    boolean ended() {
      return place == rows.size;
    }

    int row() {
      return order == null ? place : order[place];
    }

    void step() {
      place++;
      if (order == null && (place & IN_BLOCK) == 0) {
        rows.blocks.set((place >>> BLOCK_BITS) - 1, null);
      }
      look();
    }

    private void look() {
      if (!ended()) {
        key = keyOf(row());
      }
    }
  }
}
