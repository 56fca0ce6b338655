package kelvo.state;

import java.util.Arrays;
import java.util.Comparator;
import kelvo.session.Session;
import kelvo.tape.Corrections;
import kelvo.tape.EventKind;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.TapeRules;
import kelvo.time.SessionHours;

/**
 * The prints of one security that update the last price, oldest first: what a trader could have
 * had.
 */
public final class PricePath {
  /** No prints at all, as of a security that the session does not have. */
  public static final PricePath EMPTY = new PricePath(new long[0], new long[0]);

  private final long[] times;
  private final long[] prices;

  private PricePath(long[] times, long[] prices) {
    this.times = times;
    this.prices = prices;
  }

  /** The path of a security up to and including a moment, as far as it had been told by then. */
  public static PricePath of(Session session, int security, long until) {
    EventTape tape = session.tape();
    SessionHours hours = session.hours();
    int[] told = tape.eventsOf(security, tape.countUntil(until));
    Corrections corrections = Corrections.among(tape, told);
    int[] events = byTime(tape, told);
    long[] times = new long[events.length];
    long[] prices = new long[events.length];
    int count = 0;
    for (int event : events) {
      long at = tape.time(event);
      if (tape.kind(event) == EventKind.TRADE
          && !corrections.cancels(tape, event)
          && (TapeRules.flags(tape.conditions(event), hours.regular(at)) & TapeRules.LAST) != 0) {
        times[count] = at;
        prices[count++] = corrections.price(tape, event);
      }
    }
    return new PricePath(Arrays.copyOf(times, count), Arrays.copyOf(prices, count));
  }

  /** Late prints at their own time, since moments are searched for. */
  private static int[] byTime(EventTape tape, int[] events) {
    return tape.mostLateness() == 0
        ? events
        : Arrays.stream(events)
            .boxed()
            .sorted(Comparator.comparingLong(tape::time))
            .mapToInt(Integer::intValue)
            .toArray();
  }

  /** The number of prints. */
  public int size() {
    return times.length;
  }

  /** When print i happened. */
  public long time(int i) {
    return times[i];
  }

  /** Its price. */
  public long price(int i) {
    return prices[i];
  }

  /** The place of the first print after a moment; {@link #size} when there is none. */
  public int firstAfter(long moment) {
    int place = Arrays.binarySearch(times, moment);
    if (place < 0) {
      return -place - 1;
    }
    while (place < times.length && times[place] == moment) {
      place++;
    }
    return place;
  }

  /**
   * The best price for a direction in (after, until]; {@link Price#NONE} without a print. For the
   * worst, ask for the other direction.
   *
   * @param direction 1 for the highest, -1 for the lowest
   */
  public long best(long after, long until, int direction) {
    long best = Price.NONE;
    for (int i = firstAfter(after); i < times.length && times[i] <= until; i++) {
      if (best == Price.NONE || direction * (prices[i] - best) > 0) {
        best = prices[i];
      }
    }
    return best;
  }
}
