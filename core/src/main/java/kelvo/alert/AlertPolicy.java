package kelvo.alert;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import kelvo.hit.Hit;
import kelvo.watchlist.Watchlist;

/**
 * Decides which hits ring: those on a watched symbol, by a scan that is not switched off, while the
 * day goes on, and not while the same symbol has just rung. An alert for one symbol never silences
 * another. Not thread-safe.
 */
public final class AlertPolicy {
  private final Map<String, Long> rangAt = new HashMap<>();
  private final Set<String> silenced = new HashSet<>();
  private long cooldown;

  /**
   * A policy.
   *
   * @param cooldown how long a symbol stays silent after it has rung, nanoseconds
   */
  public AlertPolicy(long cooldown) {
    this.cooldown = cooldown;
  }

  /** Lets a symbol stay silent for another time after it has rung, nanoseconds. */
  public void cooldown(long nanos) {
    cooldown = nanos;
  }

  /** Switches a scan, by its name, off or on again. */
  public void silence(String scan, boolean silent) {
    if (silent) {
      silenced.add(scan);
    } else {
      silenced.remove(scan);
    }
  }

  /** The names of the scans that are switched off. */
  public Set<String> silenced() {
    return Set.copyOf(silenced);
  }

  /**
   * Whether a hit rings; if so, its symbol is silent for the cooldown.
   *
   * @param watched whose hits ring
   * @param goesOn whether the day goes on: a moment that is only looked at rings nothing
   * @param nanos a clock that only measures how much time goes by
   */
  public boolean rings(Hit hit, Watchlist watched, boolean goesOn, long nanos) {
    Long rang = rangAt.get(hit.symbol());
    boolean cooling = rang != null && nanos - rang < cooldown;
    if (!goesOn || cooling || !watched.holds(hit.symbol()) || silenced.contains(hit.scan())) {
      return false;
    }
    rangAt.put(hit.symbol(), nanos);
    return true;
  }
}
