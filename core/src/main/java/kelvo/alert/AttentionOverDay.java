package kelvo.alert;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kelvo.delivery.Channel;
import kelvo.journal.DayBook;
import kelvo.trade.CostMethod;
import kelvo.trade.OpenPosition;
import kelvo.watchlist.TheTen;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/**
 * Whom the trader minds at each moment of a day: what is held and who is on the Ten change with the
 * day. Moments are asked in their order. Not thread-safe.
 */
public final class AttentionOverDay {
  private final LocalDate date;
  private final DayBook book;
  private final Map<String, Set<Channel>> listed = new HashMap<>();
  private final Map<String, Set<Channel>> scans;
  private final Map<String, Alert> alerts = new HashMap<>();
  private final List<Alert> standing;
  private final Set<String> silenced;
  private @Nullable Attention last;
  private long decisions = -1;
  private long fills = -1;

  /**
   * A day.
   *
   * @param lists the watchlists besides the Ten, as they are on the day
   * @param rings what the trader wants to ring
   * @param silenced the names of the scans that are switched off
   */
  public AttentionOverDay(
      LocalDate date, DayBook book, List<Watchlist> lists, AlertBook rings, Set<String> silenced) {
    this.date = date;
    this.book = book;
    this.silenced = Set.copyOf(silenced);
    scans = rings.scans();
    standing = rings.standing();
    for (Alert alert : rings.alerts()) {
      if (alert.countsOn(date)) {
        alerts.put(alert.name(), alert);
      }
    }
    for (Watchlist list : lists) {
      for (String symbol : list.symbols()) {
        listed.computeIfAbsent(symbol, s -> new HashSet<>()).addAll(list.how());
      }
    }
  }

  /** The alerts that are not gone, in order. */
  public List<Alert> alerts() {
    return standing;
  }

  /** Whether an alert of this name may ring on the day. */
  public boolean isAlert(String name) {
    return alerts.containsKey(name);
  }

  /** Whom the trader minds at a moment. */
  public Attention at(long moment) {
    long decided = book.decisions().stream().filter(d -> d.at() <= moment).count();
    long filled = book.fills().stream().filter(f -> f.at() <= moment).count();
    Attention known = last;
    if (known == null || decided != decisions || filled != fills) {
      decisions = decided;
      fills = filled;
      Set<String> held =
          OpenPosition.of(book.tradedUntil(moment), CostMethod.FIRST_IN_FIRST_OUT).stream()
              .map(OpenPosition::symbol)
              .collect(Collectors.toSet());
      known =
          new Attention(
              held,
              Set.copyOf(TheTen.at(book, moment).symbols()),
              listed,
              scans,
              silenced,
              alerts,
              date);
      last = known;
    }
    return known;
  }
}
