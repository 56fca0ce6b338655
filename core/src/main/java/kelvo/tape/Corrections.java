package kelvo.tape;

import java.util.Arrays;
import java.util.TreeMap;

/**
 * What has become of one security's prints that were cancelled or corrected, as of some event.
 * Immutable. The tape itself is never changed, so that every earlier moment looks as it did then.
 */
public final class Corrections {
  /** Nothing was corrected. */
  public static final Corrections NONE = new Corrections(new int[0], new int[0]);

  private static final int WORD_BITS = 6;
  private static final int MARKS = 64;

  /** In ascending order. */
  private final int[] prints;

  /** For each of the prints, the event that says how it stands. */
  private final int[] byEvent;

  /**
   * A bit for the last twelve binary digits of each of the prints: nearly every print of a busy
   * security is none of them, and is asked about several times whenever it is played.
   */
  private final long[] marks = new long[MARKS];

  private Corrections(int[] prints, int[] byEvent) {
    this.prints = prints;
    this.byEvent = byEvent;
    for (int print : prints) {
      marks[print >>> WORD_BITS & MARKS - 1] |= 1L << print;
    }
  }

  /** The corrections of a security among the given events, oldest first; the last word counts. */
  public static Corrections among(EventTape tape, int[] events) {
    TreeMap<Integer, Integer> last = new TreeMap<>();
    for (int event : events) {
      if (tape.kind(event) == EventKind.CORRECTION) {
        last.put(tape.correctedPrint(event), event);
      }
    }
    return last.isEmpty()
        ? NONE
        : new Corrections(
            last.keySet().stream().mapToInt(print -> print).toArray(),
            last.values().stream().mapToInt(event -> event).toArray());
  }

  /** The event that says last how a print stands; the print itself when none does. */
  private int standing(int print) {
    if ((marks[print >>> WORD_BITS & MARKS - 1] >>> print & 1) == 0) {
      return print;
    }
    int place = Arrays.binarySearch(prints, print);
    return place < 0 ? print : byEvent[place];
  }

  /** These and one more, which is newer. */
  public Corrections with(EventTape tape, int correction) {
    int print = tape.correctedPrint(correction);
    int place = Arrays.binarySearch(prints, print);
    int at = place < 0 ? -place - 1 : place;
    int[] morePrints = Arrays.copyOf(prints, place < 0 ? prints.length + 1 : prints.length);
    int[] moreEvents = Arrays.copyOf(byEvent, morePrints.length);
    if (place < 0) {
      System.arraycopy(prints, at, morePrints, at + 1, prints.length - at);
      System.arraycopy(byEvent, at, moreEvents, at + 1, prints.length - at);
    }
    morePrints[at] = print;
    moreEvents[at] = correction;
    return new Corrections(morePrints, moreEvents);
  }

  /** Whether every print up to one, by its place on the tape, stands as it does for another. */
  public boolean areSameUpTo(int last, Corrections other) {
    int count = countUpTo(last);
    return count == other.countUpTo(last)
        && Arrays.equals(prints, 0, count, other.prints, 0, count)
        && Arrays.equals(byEvent, 0, count, other.byEvent, 0, count);
  }

  private int countUpTo(int last) {
    int place = Arrays.binarySearch(prints, last);
    return place < 0 ? -place - 1 : place + 1;
  }

  /** Whether a print no longer stands. */
  public boolean cancels(EventTape tape, int print) {
    int event = standing(print);
    return event != print && tape.isCancel(event);
  }

  /** The price of a print, corrected. */
  public long price(EventTape tape, int print) {
    return tape.price(standing(print));
  }

  /** The shares of a print, corrected. */
  public long shares(EventTape tape, int print) {
    return tape.shares(standing(print));
  }
}
