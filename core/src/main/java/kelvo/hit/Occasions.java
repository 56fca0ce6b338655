package kelvo.hit;

import kelvo.trigger.Detector;
import kelvo.trigger.OnceDetector;

/**
 * The scans that have had no hit yet of an occasion that has come, by detector and security. Scans
 * are bits of a long. Owned by one thread.
 */
final class Occasions {
  /** By detector, the open scans of each security; empty for detectors without occasions. */
  private final long[][] open;

  /** How many occasions of each security are open to some scan. */
  private final short[] count;

  private int total;

  Occasions(Detector[] detectors, int securities) {
    open = new long[detectors.length][];
    for (int i = 0; i < detectors.length; i++) {
      open[i] = new long[detectors[i] instanceof OnceDetector ? securities : 0];
    }
    count = new short[securities];
  }

  /** An occasion has come, for so many scans. */
  void come(int detector, int security, long scans) {
    set(detector, security, scans);
  }

  /** Some scans have had their hit of it. */
  void had(int detector, int security, long scans) {
    if (open[detector].length == 0) {
      return;
    }
    set(detector, security, open[detector][security] & ~scans);
  }

  /** Closes those that have not come after all. */
  void keepOnly(boolean[] came, int security) {
    for (int i = 0; i < open.length; i++) {
      if (!came[i] && open[i].length > 0) {
        set(i, security, 0);
      }
    }
  }

  private void set(int detector, int security, long scans) {
    int change = (scans != 0 ? 1 : 0) - (open[detector][security] != 0 ? 1 : 0);
    open[detector][security] = scans;
    count[security] += (short) change;
    total += change;
  }

  /** Whether any is open. */
  boolean areOpen() {
    return total > 0;
  }

  /** Whether any of a security is. */
  boolean areOpen(int security) {
    return count[security] > 0;
  }

  /** The scans that one is open to. */
  long openTo(int detector, int security) {
    return open[detector].length == 0 ? 0 : open[detector][security];
  }
}
