package kelvo.hit;

import java.util.List;
import kelvo.scan.Scan;
import kelvo.state.Effect;
import kelvo.time.DayTime;
import kelvo.trigger.Detector;
import kelvo.trigger.LateDetector;
import kelvo.trigger.RestingDetector;
import kelvo.trigger.Trigger;

/**
 * Which detectors must be asked after an event, as bits of as many words as there are detectors
 * for: those that listen to what the event did, whose scans could let the security through, and
 * that some scan waits for, now or later. A detector ends with the last window of its scans; one
 * that can begin late begins with their first. Owned by one thread; does not allocate when asked.
 */
final class AwakeDetectors {
  private final int words;

  /** By security, the detectors some scan of which could let it through. */
  private final long[] concerned;

  /** By the place of an effect's bit, the detectors that listen to it. */
  private final long[][] listening = new long[Integer.SIZE][];

  private final long[] awake;
  private final long[] resting;
  private final long[] from;
  private final long[] to;
  private final int effects;
  private final int[] restingPlaces;
  private int mayRest;
  private int endingRest;

  /** The effects to which some detector listens that is awake and never rests. */
  private int restless;

  private boolean someAreLate;

  /**
   * Before the first event.
   *
   * @param watched what each of the detectors watches for
   */
  AwakeDetectors(
      Trigger[] watched, Detector[] detectors, List<Scan> scans, ScanBoard board, int securities) {
    words = (detectors.length + Long.SIZE - 1) / Long.SIZE;
    concerned = new long[words * securities];
    awake = new long[words];
    resting = new long[words];
    restingPlaces = new int[detectors.length];
    from = new long[detectors.length];
    to = new long[detectors.length];
    for (int bit = 0; bit < listening.length; bit++) {
      listening[bit] = new long[words];
    }
    int all = 0;
    for (int i = 0; i < detectors.length; i++) {
      all |= detectors[i].listensTo();
      listen(i, detectors[i]);
      findWindow(i, watched[i], scans);
      from[i] = detectors[i] instanceof LateDetector ? from[i] : DayTime.FIRST;
      long asking = board.listening(watched[i]);
      for (int security = 0; security < securities; security++) {
        if (board.couldFit(security, asking)) {
          concerned[security * words + wordOf(i)] |= bit(i);
        }
      }
    }
    effects = all;
    openAt(DayTime.FIRST);
  }

  private void listen(int detector, Detector made) {
    for (int left = made.listensTo(); left != 0; left &= left - 1) {
      listening[Integer.numberOfTrailingZeros(left)][wordOf(detector)] |= bit(detector);
    }
    if (made instanceof RestingDetector) {
      endingRest |= made.listensTo() & ~Effect.ELIGIBLE;
      resting[wordOf(detector)] |= bit(detector);
      restingPlaces[detector] = mayRest++;
    } else {
      restingPlaces[detector] = -1;
    }
  }

  private void findWindow(int detector, Trigger trigger, List<Scan> scans) {
    from[detector] = DayTime.LAST;
    for (Scan scan : scans) {
      if (scan.triggers().contains(trigger)) {
        from[detector] = Math.min(from[detector], scan.from());
        to[detector] = Math.max(to[detector], scan.to());
      }
    }
  }

  private static int wordOf(int detector) {
    return detector / Long.SIZE;
  }

  private static long bit(int detector) {
    return 1L << detector;
  }

  /** How many words there are. */
  int words() {
    return words;
  }

  /** The effects to which some detector listens. */
  int effects() {
    return effects;
  }

  /** The effects besides eligible prints to which some resting detector listens. */
  int endingRest() {
    return endingRest;
  }

  /** Those of a word to ask about a security after an event. */
  long listening(int security, int effect, int word) {
    long heard = 0;
    for (int left = effect & effects; left != 0; left &= left - 1) {
      heard |= listening[Integer.numberOfTrailingZeros(left)][word];
    }
    return heard & concerned[security * words + word] & awake[word];
  }

  /** Whether some detector has yet to begin. */
  boolean someAreLate() {
    return someAreLate;
  }

  /** Whether all detectors that listen to an effect may rest at some prices. */
  boolean allMayRest(int effect) {
    return (effect & restless) == 0;
  }

  /** Those of a word that may rest at some prices. */
  long resting(int word) {
    return resting[word];
  }

  /** How many detectors may rest at some prices. */
  int mayRest() {
    return mayRest;
  }

  /** The place of a detector among those that may rest; below 0 for the others. */
  int restingPlace(int detector) {
    return restingPlaces[detector];
  }

  /** Whether a detector is to be asked about a security. */
  boolean isAsked(int detector, int security) {
    int word = wordOf(detector);
    return (concerned[security * words + word] & awake[word] & bit(detector)) != 0;
  }

  /** Whether some scan waits for a detector, now or later. */
  boolean isAwake(int detector) {
    return (awake[wordOf(detector)] & bit(detector)) != 0;
  }

  /** Whether a detector is to begin or to end at a moment. */
  boolean changes(int detector, long moment) {
    return isAwake(detector) != (moment >= from[detector] && moment < to[detector]);
  }

  /** Begins and ends what begins and ends at a moment. */
  void openAt(long moment) {
    for (int i = 0; i < from.length; i++) {
      if (changes(i, moment)) {
        awake[wordOf(i)] ^= bit(i);
      }
    }
    restless = 0;
    someAreLate = false;
    for (int i = 0; i < from.length; i++) {
      someAreLate |= from[i] > moment;
    }
    for (int bit = 0; bit < listening.length; bit++) {
      for (int word = 0; word < words; word++) {
        if ((listening[bit][word] & awake[word] & ~resting[word]) != 0) {
          restless |= 1 << bit;
        }
      }
    }
  }
}
