package kelvo.research;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.Arrays;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;

/**
 * The median spread of each security of a session in each hour of the day, over its quotes with two
 * sides. Immutable.
 *
 * @param rows {@link #HOURS} longs for each security in the order of the session, {@link
 *     kelvo.tape.Price} units; 0 for an hour without such a quote
 */
public record SessionSpreads(MemorySegment rows) {
  /** The hours of a day. */
  public static final int HOURS = 24;

  /** Those of the quotes of a tape. */
  public static SessionSpreads of(EventTape tape, int securities) {
    // Where the spreads of each security and hour begin among all.
    int[] starts = new int[securities * HOURS + 1];
    for (int event = 0; event < tape.size(); event++) {
      if (isQuoted(tape, event)) {
        starts[row(tape, event) + 1]++;
      }
    }
    for (int row = 0; row < securities * HOURS; row++) {
      starts[row + 1] += starts[row];
    }
    long[] spreads = new long[starts[securities * HOURS]];
    int[] next = starts.clone();
    for (int event = 0; event < tape.size(); event++) {
      if (isQuoted(tape, event)) {
        spreads[next[row(tape, event)]++] = spread(tape, event);
      }
    }
    long[] rows = new long[securities * HOURS];
    for (int row = 0; row < rows.length; row++) {
      if (starts[row + 1] > starts[row]) {
        Arrays.sort(spreads, starts[row], starts[row + 1]);
        rows[row] = median(Arrays.copyOfRange(spreads, starts[row], starts[row + 1]));
      }
    }
    return new SessionSpreads(MemorySegment.ofArray(rows));
  }

  private static boolean isQuoted(EventTape tape, int event) {
    return tape.isQuote(event) && spread(tape, event) > 0;
  }

  private static int row(EventTape tape, int event) {
    return tape.symbol(event) * HOURS + hour(tape.time(event));
  }

  static int hour(long moment) {
    return (int) (moment / DayTime.HOUR);
  }

  private static long spread(EventTape tape, int quote) {
    long bid = tape.bid(quote);
    return bid > 0 ? tape.ask(quote) - bid : 0;
  }

  /** The middle one of sorted numbers, of an even count the lower of the two. */
  static long median(long[] sorted) {
    return sorted[(sorted.length - 1) / 2];
  }

  /** The spread of a security in an hour; 0 when none is known. */
  long at(int security, int hour) {
    return rows.getAtIndex(ValueLayout.JAVA_LONG, (long) security * HOURS + hour);
  }
}
