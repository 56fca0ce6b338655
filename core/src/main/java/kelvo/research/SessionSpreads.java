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
    long[] rows = new long[securities * HOURS];
    for (int security = 0; security < securities; security++) {
      int[] quotes =
          Arrays.stream(tape.eventsOf(security, tape.size()))
              .filter(event -> tape.isQuote(event) && spread(tape, event) > 0)
              .toArray();
      int from = 0;
      while (from < quotes.length) {
        int hour = hour(tape.time(quotes[from]));
        int to = from;
        while (to < quotes.length && hour(tape.time(quotes[to])) == hour) {
          to++;
        }
        rows[security * HOURS + hour] =
            median(
                Arrays.stream(quotes, from, to)
                    .mapToLong(event -> spread(tape, event))
                    .sorted()
                    .toArray());
        from = to;
      }
    }
    return new SessionSpreads(MemorySegment.ofArray(rows));
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
