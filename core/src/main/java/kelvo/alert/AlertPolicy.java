package kelvo.alert;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kelvo.alert.Ring.Outcome;
import kelvo.alert.Ring.Rank;
import kelvo.time.Phases;
import org.jspecify.annotations.Nullable;

/**
 * Decides what rings, from events alone, so that a day that is replayed rings as it did live. What
 * matters more is never held back by what matters less: only hits of scans, and of alerts on whom
 * nobody watches, have a budget, and halts and held symbols ring while it is quiet. Takes events in
 * their order. Not thread-safe.
 */
public final class AlertPolicy {
  private final Phases phases;
  private final Map<Key, Cooldown> cooldowns = new HashMap<>();
  private final Map<Armed, Long> rangAt = new HashMap<>();
  private final Map<String, ScanBudget> budgets = new HashMap<>();
  private final Set<Key> seen = new HashSet<>();
  private final StrengthRanks strengths = new StrengthRanks();
  private final AlertLimits limits;
  private final List<Silence> silences;

  /** What an alert is about: a symbol, and what happens to it. */
  private record Key(int security, String source, String words) {}

  /** An alert on a symbol, while it is armed. */
  private record Armed(int security, String alert, Alert.@Nullable Span span) {}

  /**
   * A policy for a session of these phases.
   *
   * @param silences when less rings
   */
  public AlertPolicy(Phases phases, AlertLimits limits, List<Silence> silences) {
    this.phases = phases;
    this.limits = limits;
    this.silences = List.copyOf(silences);
  }

  /** What becomes of an event; empty when it concerns nobody. */
  public Optional<Ring> take(AlertEvent event, Attention attention) {
    double strength = strengths.of(event);
    Rank rank = attention.rankOf(event);
    if (rank == null) {
      return Optional.empty();
    }
    Key key = new Key(event.security(), event.source(), event.words());
    boolean first = seen.add(key);
    return Optional.of(
        new Ring(
            event,
            rank,
            first,
            outcome(event, rank, key, strength, attention),
            strength,
            attention.howOf(event)));
  }

  private Outcome outcome(
      AlertEvent event, Rank rank, Key key, double strength, Attention attention) {
    if (silences.stream().anyMatch(silence -> silence.holdsBack(event, rank))) {
      return Outcome.QUIET;
    }
    Alert alert = attention.alertOf(event);
    return alert == null
        ? ofScan(event, rank, key, strength)
        : ofAlert(event, rank, alert, strength, attention);
  }

  private Outcome ofScan(AlertEvent event, Rank rank, Key key, double strength) {
    Cooldown cooldown = cooldowns.get(key);
    if (cooldown != null && !cooldown.rings(event.at(), limits)) {
      return Outcome.COOLING;
    }
    if (rank == Rank.SCAN && !isWithinBudget(event, strength)) {
      return Outcome.OVER_BUDGET;
    }
    if (cooldown == null) {
      cooldowns.put(key, new Cooldown(event.at(), limits.cooldown()));
    }
    return Outcome.RINGS;
  }

  /** An alert says itself how soon it rings again on a symbol, from when it was last armed. */
  private Outcome ofAlert(
      AlertEvent event, Rank rank, Alert alert, double strength, Attention attention) {
    Armed armed = new Armed(event.security(), alert.name(), attention.armedBy(alert, event));
    Long last = rangAt.get(armed);
    if (last != null && event.at() - last < alert.repeat().after()) {
      return alert.repeat().equals(Repeat.ONCE) ? Outcome.SPENT : Outcome.COOLING;
    }
    if (rank == Rank.ALERT && !isWithinBudget(event, strength)) {
      return Outcome.OVER_BUDGET;
    }
    rangAt.put(armed, event.at());
    return Outcome.RINGS;
  }

  private boolean isWithinBudget(AlertEvent event, double strength) {
    return budgets
        .computeIfAbsent(event.source(), scan -> new ScanBudget())
        .allows(event.at(), phases.indexAt(event.at()), strength, limits);
  }
}
