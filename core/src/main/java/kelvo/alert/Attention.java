package kelvo.alert;

import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Whom the trader minds at a moment.
 *
 * @param held symbols of which something is held
 * @param watched symbols on the Ten or on another watchlist
 * @param scans the names of the scans whose hits ring on any symbol
 * @param silenced the names of the scans that are switched off
 */
public record Attention(
    Set<String> held, Set<String> watched, Set<String> scans, Set<String> silenced) {
  public Attention {
    held = Set.copyOf(held);
    watched = Set.copyOf(watched);
    scans = Set.copyOf(scans);
    silenced = Set.copyOf(silenced);
  }

  /** How much what happened matters; null when it concerns nobody. */
  Ring.@Nullable Rank rankOf(AlertEvent event) {
    boolean isHeld = held.contains(event.symbol());
    boolean isWatched = watched.contains(event.symbol());
    if (event.kind() == AlertEvent.Kind.HALT) {
      return isHeld || isWatched ? Ring.Rank.HALT_OF_MINE : Ring.Rank.HALT_ELSEWHERE;
    }
    if (silenced.contains(event.source())) {
      return null;
    }
    return isHeld
        ? Ring.Rank.HELD
        : isWatched ? Ring.Rank.WATCHED : scans.contains(event.source()) ? Ring.Rank.SCAN : null;
  }
}
