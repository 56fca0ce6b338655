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
   * @param span its length in nanoseconds
   */
  SlidingVolume(long span) {
    this.span = span;
  }

  /** Shares in the window that ends now. Moments must not go back. */
  long shares(EventTape tape, int lastEvent, long now) {
    moveTo(tape, lastEvent, now);
    return shares;
  }

  /** Prints in the window that ends now. */
  int trades(EventTape tape, int lastEvent, long now) {
    moveTo(tape, lastEvent, now);
    return count;
  }

  /** When the oldest print in the window leaves it; Long.MAX_VALUE when it is empty. */
  long nextChange(EventTape tape, int lastEvent, long now) {
    moveTo(tape, lastEvent, now);
    long first = Long.MAX_VALUE;
    if (count > 0) {
      for (int i = oldest; i != NONE && first == Long.MAX_VALUE; i = tape.laterOfSymbol(i)) {
        first = counts(tape, i) && tape.time(i) > now - span ? tape.time(i) : first;
      }
    }
    return first == Long.MAX_VALUE ? first : first + span - tape.mostLateness();
  }

  private void moveTo(EventTape tape, int lastEvent, long now) {
    boolean far = newest == NONE || tape.time(newest) <= now - span;
    if (far || tape.mostLateness() > 0) {
      lookBack(tape, lastEvent, now);
      return;
    }
    while (newest != lastEvent) {
      newest = tape.laterOfSymbol(newest);
      take(tape, newest, 1);
    }
    while (oldest != NONE && tape.time(oldest) <= now - span) {
      take(tape, oldest, -1);
      oldest = oldest == newest ? NONE : tape.laterOfSymbol(oldest);
    }
    if (oldest == NONE) {
      newest = NONE;
    }
  }

  /** Adds up from the newest event backward; late prints may stand behind newer ones. */
  private void lookBack(EventTape tape, int lastEvent, long now) {
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
        take(tape, i, 1);
      }
    }
  }

  private void take(EventTape tape, int event, int sign) {
    if (counts(tape, event)) {
      count += sign;
      shares += sign * tape.shares(event);
    }
  }

  private static boolean counts(EventTape tape, int event) {
    return tape.kind(event) == EventKind.TRADE && TapeRules.addsVolume(tape.conditions(event));
  }

  /** Makes this window the same as another of the same span. */
  void copyFrom(SlidingVolume other) {
    oldest = other.oldest;
    newest = other.newest;
    count = other.count;
    shares = other.shares;
  }
}
