package kelvo.market;

/**
 * Shares and prints of one security in the last span of time, exact to the print: at moment T it
 * holds what happened in (T - span, T]. It keeps no prints of its own: it reads the tape when it is
 * asked, so that a security of which nobody asks costs nothing.
 */
final class SlidingVolume {
  private static final int NONE = EventTape.NONE;

  private final long span;
  private int oldest = NONE;
  private int newest = NONE;
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
    long first = Long.MAX_VALUE;
    if (count > 0) {
      for (int i = oldest; i != NONE && first == Long.MAX_VALUE; i = tape.laterOfSymbol(i)) {
        first = counts(tape, corrections, i) && tape.time(i) > now - span ? tape.time(i) : first;
      }
    }
    return first == Long.MAX_VALUE ? first : first + span - tape.mostLateness();
  }

  private void moveTo(EventTape tape, Corrections corrections, int lastEvent, long now) {
    boolean far = newest == NONE || tape.time(newest) <= now - span;
    if (far || tape.mostLateness() > 0) {
      lookBack(tape, corrections, lastEvent, now);
      return;
    }
    while (newest != lastEvent) {
      newest = tape.laterOfSymbol(newest);
      take(tape, corrections, newest, 1);
    }
    while (oldest != NONE && tape.time(oldest) <= now - span) {
      take(tape, corrections, oldest, -1);
      oldest = oldest == newest ? NONE : tape.laterOfSymbol(oldest);
    }
    if (oldest == NONE) {
      newest = NONE;
    }
  }

  /** Adds up from the newest event backward; late prints may stand behind newer ones. */
  private void lookBack(EventTape tape, Corrections corrections, int lastEvent, long now) {
    count = 0;
    shares = 0;
    oldest = NONE;
    newest = NONE;
    for (int i = lastEvent;
        i != NONE && tape.time(i) > now - span - tape.mostLateness();
        i = tape.earlierOfSymbol(i)) {
      newest = newest == NONE ? i : newest;
      oldest = i;
      if (tape.time(i) > now - span) {
        take(tape, corrections, i, 1);
      }
    }
  }

  private void take(EventTape tape, Corrections corrections, int event, int sign) {
    if (counts(tape, corrections, event)) {
      count += sign;
      shares += sign * corrections.shares(tape, event);
    }
  }

  private static boolean counts(EventTape tape, Corrections corrections, int event) {
    return tape.isTrade(event)
        && TapeRules.addsVolume(tape.conditions(event))
        && !corrections.cancels(tape, event);
  }

  /** Makes this window the same as another of the same span. */
  void copyFrom(SlidingVolume other) {
    oldest = other.oldest;
    newest = other.newest;
    count = other.count;
    shares = other.shares;
  }
}
