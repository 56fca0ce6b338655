package kelvo.state;

import java.util.Arrays;
import kelvo.tape.Corrections;
import kelvo.tape.EventTape;
import kelvo.tape.TapeRules;

/**
 * Shares and prints of one security in the last span of time, exact to the print: at moment T it
 * holds what happened in (T - span, T]. It keeps no prints of its own but the few that came late:
 * it reads the tape when it is asked, so that a security of which nobody asks costs nothing.
 *
 * <p>A print is late when a newer one of the security stands before it on the tape. All others
 * leave in the order of the tape.
 */
final class SlidingVolume {
  private static final int NONE = EventTape.NONE;
  private static final int[] NO_PRINTS = {};

  private final long span;

  /** The oldest print in the window that did not come late; none when there is none. */
  private int oldest = NONE;

  private long oldestAt;

  /** The newest event that the window has come by, print or not. */
  private int newest = NONE;

  private long newestAt;

  /** The time of the newest print that the window has come by. */
  private long newestPrintAt;

  /** The late prints in the window, by time. */
  private int[] late = NO_PRINTS;

  private int lateCount;
  private int count;
  private long shares;

  /**
   * An empty window.
   *
   * @param span its length
   */
  SlidingVolume(SlidingSpan span) {
    this.span = span.nanos();
  }

  /** Shares in the window that ends now. Moments must not go back. */
  long shares(EventTape tape, Corrections corrections, int lastEvent, long now) {
    moveTo(tape, corrections, lastEvent, now);
    return shares;
  }

  /** Prints in the window that ends now. */
  int trades(EventTape tape, Corrections corrections, int lastEvent, long now) {
    moveTo(tape, corrections, lastEvent, now);
    return count;
  }

  /** When the next print leaves the window; Long.MAX_VALUE when it is empty. */
  long nextChange(EventTape tape, Corrections corrections, int lastEvent, long now) {
    moveTo(tape, corrections, lastEvent, now);
    long first = oldest == NONE ? Long.MAX_VALUE : oldestAt;
    if (lateCount > 0) {
      first = Math.min(first, tape.time(late[0]));
    }
    return first == Long.MAX_VALUE ? first : first + span;
  }

  private void moveTo(EventTape tape, Corrections corrections, int lastEvent, long now) {
    long from = now - span;
    if (newest == NONE || newestAt <= from) {
      beginAnew(tape, lastEvent, from);
    }
    while (newest != lastEvent) {
      newest =
          newest == NONE
              ? tape.firstOfSymbol(tape.symbol(lastEvent))
              : tape.laterOfSymbol(newest, lastEvent);
      newestAt = tape.time(newest);
      add(tape, corrections);
    }
    while (oldest != NONE && oldestAt <= from) {
      take(tape, corrections, oldest, -1);
      nextOldest(tape, corrections);
    }
    while (lateCount > 0 && tape.time(late[0]) <= from) {
      take(tape, corrections, late[0], -1);
      System.arraycopy(late, 1, late, 0, --lateCount);
    }
  }

  /** Empties the window and goes back to the event before all that can be in it. */
  private void beginAnew(EventTape tape, int lastEvent, long from) {
    count = 0;
    shares = 0;
    oldest = NONE;
    lateCount = 0;
    newestPrintAt = Long.MIN_VALUE;
    newest = lastEvent;
    while (newest != NONE && tape.time(newest) > from - tape.mostLateness()) {
      newest = tape.earlierOfSymbol(newest);
    }
  }

  /**
   * Adds the newest event, when it counts; also one that is already too old, since all that stands
   * behind the oldest is taken out in its turn.
   */
  private void add(EventTape tape, Corrections corrections) {
    if (!take(tape, corrections, newest, 1)) {
      return;
    }
    if (newestAt < newestPrintAt) {
      addLate(tape);
      return;
    }
    newestPrintAt = newestAt;
    if (oldest == NONE) {
      oldest = newest;
      oldestAt = newestAt;
    }
  }

  private void addLate(EventTape tape) {
    if (lateCount == late.length) {
      late = Arrays.copyOf(late, 2 * lateCount + 1);
    }
    int place = lateCount++;
    while (place > 0 && tape.time(late[place - 1]) > newestAt) {
      late[place] = late[place - 1];
      place--;
    }
    late[place] = newest;
  }

  /** Goes to the print after the oldest in the window that did not come late. */
  private void nextOldest(EventTape tape, Corrections corrections) {
    int event = oldest;
    while (event != newest) {
      event = tape.laterOfSymbol(event, newest);
      if (tape.time(event) >= oldestAt && counts(tape, corrections, event)) {
        oldest = event;
        oldestAt = tape.time(event);
        return;
      }
    }
    oldest = NONE;
  }

  /** Counts an event in or out, unless it is none that counts. */
  private boolean take(EventTape tape, Corrections corrections, int event, int sign) {
    boolean counts = counts(tape, corrections, event);
    if (counts) {
      count += sign;
      shares += sign * corrections.shares(tape, event);
    }
    return counts;
  }

  private static boolean counts(EventTape tape, Corrections corrections, int event) {
    return tape.isTrade(event)
        && TapeRules.addsVolume(tape.conditions(event))
        && !corrections.cancels(tape, event);
  }

  /** Makes this window the same as another of the same span. */
  void copyFrom(SlidingVolume other) {
    oldest = other.oldest;
    oldestAt = other.oldestAt;
    newest = other.newest;
    newestAt = other.newestAt;
    newestPrintAt = other.newestPrintAt;
    late = other.late.clone();
    lateCount = other.lateCount;
    count = other.count;
    shares = other.shares;
  }
}
