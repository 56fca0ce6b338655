package kelvo.tape;

import java.util.Arrays;

/**
 * What has become of one security's prints that were cancelled or corrected, as of some event.
 * Immutable. The tape itself is never changed, so that every earlier moment looks as it did then.
 */
public final class Corrections {
  /** Nothing was corrected. */
  public static final Corrections NONE = new Corrections(new int[0], new int[0]);

  private final int[] prints;
  private final int[] byEvent;

  private Corrections(int[] prints, int[] byEvent) {
    this.prints = prints;
    this.byEvent = byEvent;
  }

  /** The corrections of a security among the given events, oldest first; the last word counts. */
  public static Corrections among(EventTape tape, int[] events) {
    Corrections known = NONE;
    for (int event : events) {
      if (tape.kind(event) == EventKind.CORRECTION) {
        known = known.with(tape.correctedPrint(event), event);
      }
    }
    return known;
  }

  private Corrections with(int print, int event) {
    int place = place(print);
    int[] longerPrints = prints;
    int[] longerEvents = byEvent.clone();
    if (place < 0) {
      place = prints.length;
      longerPrints = Arrays.copyOf(prints, place + 1);
      longerEvents = Arrays.copyOf(byEvent, place + 1);
      longerPrints[place] = print;
    }
    longerEvents[place] = event;
    return new Corrections(longerPrints, longerEvents);
  }

  private int place(int print) {
    for (int i = 0; i < prints.length; i++) {
      if (prints[i] == print) {
        return i;
      }
    }
    return -1;
  }

  /** Whether a print no longer stands. */
  public boolean cancels(EventTape tape, int print) {
    int place = place(print);
    return place >= 0 && tape.isCancel(byEvent[place]);
  }

  /** The price of a print, corrected. */
  public long price(EventTape tape, int print) {
    int place = place(print);
    return tape.price(place < 0 ? print : byEvent[place]);
  }

  /** The shares of a print, corrected. */
  public long shares(EventTape tape, int print) {
    int place = place(print);
    return tape.shares(place < 0 ? print : byEvent[place]);
  }
}
