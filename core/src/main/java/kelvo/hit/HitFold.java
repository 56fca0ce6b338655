package kelvo.hit;

import kelvo.trigger.Trigger;

/**
 * Repeats of one trigger of one scan on one security, told as one row.
 *
 * @param first the first firing
 * @param last the newest firing
 * @param count how many there were
 */
public record HitFold(Hit first, Hit last, int count) {
  /** A fold of one firing. */
  public static HitFold of(Hit hit) {
    return new HitFold(hit, hit, 1);
  }

  /** This fold with one more firing. */
  public HitFold with(Hit hit) {
    return new HitFold(first, hit, count + 1);
  }

  /** What firings have in common that fold together. */
  public record Key(String scan, int security, Trigger trigger) {
    /** The key of a hit. */
    public static Key of(Hit hit) {
      return new Key(hit.scan(), hit.security(), hit.trigger());
    }
  }
}
