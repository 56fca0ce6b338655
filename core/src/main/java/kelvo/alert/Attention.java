package kelvo.alert;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import kelvo.delivery.Channel;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;

/**
 * Whom and what the trader minds at a moment.
 *
 * @param held symbols of which something is held
 * @param ten symbols on the Ten
 * @param listed symbols on another watchlist, and how hits on them reach the trader
 * @param scans the scans whose hits ring on any symbol, and how
 * @param silenced the names of the scans that are switched off
 * @param alerts the trader's alerts, by name
 * @param date of the session
 */
public record Attention(
    Set<String> held,
    Set<String> ten,
    Map<String, Set<Channel>> listed,
    Map<String, Set<Channel>> scans,
    Set<String> silenced,
    Map<String, Alert> alerts,
    LocalDate date) {
  public Attention {
    held = Set.copyOf(held);
    ten = Set.copyOf(ten);
    listed = Map.copyOf(listed);
    scans = Map.copyOf(scans);
    silenced = Set.copyOf(silenced);
    alerts = Map.copyOf(alerts);
  }

  /** How much what happened matters; null when it concerns nobody. */
  Ring.@Nullable Rank rankOf(AlertEvent event) {
    boolean isHeld = held.contains(event.symbol());
    boolean isWatched = ten.contains(event.symbol()) || listed.containsKey(event.symbol());
    if (event.kind() == AlertEvent.Kind.HALT) {
      return isHeld || isWatched ? Ring.Rank.HALT_OF_MINE : Ring.Rank.HALT_ELSEWHERE;
    }
    if (silenced.contains(event.source())) {
      return null;
    }
    Alert alert = alertOf(event);
    if (alert != null && armedBy(alert, event) == null) {
      return null;
    }
    if (isHeld) {
      return Ring.Rank.HELD;
    }
    boolean asksForIt =
        event.kind() == AlertEvent.Kind.LEVEL
            || (alert != null && alert.about() instanceof About.Symbol);
    if (isWatched || asksForIt) {
      return Ring.Rank.WATCHED;
    }
    return alert != null
        ? Ring.Rank.ALERT
        : scans.containsKey(event.source()) ? Ring.Rank.SCAN : null;
  }

  /** The alert whose event it is; null for any other. */
  @Nullable Alert alertOf(AlertEvent event) {
    return event.kind() == AlertEvent.Kind.ALERT ? alerts.get(event.source()) : null;
  }

  /**
   * The time at which an alert is armed and that holds an event; null when it is not armed then.
   */
  Alert.@Nullable Span armedBy(Alert alert, AlertEvent event) {
    boolean isMember =
        !(alert.about() instanceof About.Members members)
            || !members.name().equals(TheTen.NAME)
            || ten.contains(event.symbol());
    LocalDateTime at = date.atTime(LocalTime.ofNanoOfDay(event.at()));
    return isMember ? alert.armedAt(at).orElse(null) : null;
  }

  /** The ways in which what happened reaches the trader. */
  Set<Channel> howOf(AlertEvent event) {
    Alert alert = alertOf(event);
    if (alert != null) {
      return alert.how();
    }
    boolean isMine =
        held.contains(event.symbol())
            || ten.contains(event.symbol())
            || event.kind() == AlertEvent.Kind.LEVEL;
    Set<Channel> how = new HashSet<>(isMine ? Channel.USUAL : Set.of());
    how.addAll(listed.getOrDefault(event.symbol(), Set.of()));
    if (event.kind() == AlertEvent.Kind.HALT) {
      how.addAll(Channel.USUAL);
    } else {
      how.addAll(scans.getOrDefault(event.source(), Set.of()));
    }
    return Set.copyOf(how);
  }
}
