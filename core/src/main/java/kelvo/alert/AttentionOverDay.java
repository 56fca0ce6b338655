package kelvo.alert;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
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
  private final DayBook book;
  private final Set<String> listed;
  private final Set<String> scans;
  private final Set<String> silenced;
  private @Nullable Attention last;
  private long decisions = -1;
  private long fills = -1;

  /**
   * A day.
   *
   * @param lists the watchlists besides the Ten, as they are on the day
   * @param scans the names of the scans whose hits ring on any symbol
   * @param silenced the names of the scans that are switched off
   */
  public AttentionOverDay(
      DayBook book, List<Watchlist> lists, Set<String> scans, Set<String> silenced) {
    this.book = book;
    this.scans = Set.copyOf(scans);
    this.silenced = Set.copyOf(silenced);
    listed = lists.stream().flatMap(list -> list.symbols().stream()).collect(Collectors.toSet());
  }

  /** Whom the trader minds at a moment. */
  public Attention at(long moment) {
    long decided = book.decisions().stream().filter(d -> d.at() <= moment).count();
    long filled = book.fills().stream().filter(f -> f.at() <= moment).count();
    Attention known = last;
    if (known == null || decided != decisions || filled != fills) {
      decisions = decided;
      fills = filled;
      Set<String> watched = new HashSet<>(listed);
      watched.addAll(TheTen.at(book, moment).symbols());
      Set<String> held =
          OpenPosition.of(book.tradedUntil(moment), CostMethod.FIRST_IN_FIRST_OUT).stream()
              .map(OpenPosition::symbol)
              .collect(Collectors.toSet());
      known = new Attention(held, watched, scans, silenced);
      last = known;
    }
    return known;
  }
}
