package kelvo.market;

/**
 * Shares and prints of one security in the last span of time, exact to the print: at moment T it
 * holds what happened in (T - span, T]. It keeps no prints of its own: it reads the tape when it is
 * asked, so that a security of which nobody asks costs nothing.
 */
final class SlidingVolume {
  private static final int NONE = EventTape.NONE;

  private final long span;

  /** The oldest print in the window; none when it is empty. */
  private int oldest = NONE;

  private long oldestAt;

  /** The newest event that the window has come by, print or not. */
  private int newest = NONE;

  private long newestAt;
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

  /** When the oldest print in the window leaves it; Long.MAX_VALUE when it is empty. */
  long nextChange(EventTape tape, Corrections corrections, int lastEvent, long now) {
    moveTo(tape, corrections, lastEvent, now);
    return oldest == NONE ? Long.MAX_VALUE : oldestAt + span - tape.mostLateness();
  }

  private void moveTo(EventTape tape, Corrections corrections, int lastEvent, long now) {
    long from = now - span;
    if (newest == NONE || newestAt <= from || tape.mostLateness() > 0) {
      lookBack(tape, corrections, lastEvent, from);
      return;
    }
    while (newest != lastEvent) {
      newest = tape.laterOfSymbol(newest, lastEvent);
      newestAt = tape.time(newest);
      if (take(tape, corrections, newest, 1) && oldest == NONE) {
        oldest = newest;
        oldestAt = newestAt;
      }
    }
    while (oldest != NONE && oldestAt <= from) {
      take(tape, corrections, oldest, -1);
      oldest = nextPrint(tape, corrections);
      oldestAt = oldest == NONE ? oldestAt : tape.time(oldest);
    }
  }

  /** The print after the oldest in the window. */
  private int nextPrint(EventTape tape, Corrections corrections) {
    int event = oldest;
    while (event != newest) {
      event = tape.laterOfSymbol(event, newest);
      if (counts(tape, corrections, event)) {
        return event;
      }
    }
    return NONE;
  }

  /** Adds up from the newest event backward; late prints may stand behind newer ones. */
  private void lookBack(EventTape tape, Corrections corrections, int lastEvent, long from) {
    count = 0;
    shares = 0;
    oldest = NONE;
    newest = lastEvent;
    newestAt = lastEvent == NONE ? from : tape.time(lastEvent);
    for (int i = lastEvent;
        i != NONE && tape.time(i) > from - tape.mostLateness();
        i = tape.earlierOfSymbol(i)) {
      if (tape.time(i) > from && take(tape, corrections, i, 1)) {
        oldest = i;
        oldestAt = tape.time(i);
      }
    }
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
    count = other.count;
    shares = other.shares;
  }
}
