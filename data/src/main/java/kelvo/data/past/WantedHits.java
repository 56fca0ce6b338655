package kelvo.data.past;

import java.time.LocalDate;
import java.util.List;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertScans;
import kelvo.hit.Program;
import kelvo.journal.DayBook;
import kelvo.scan.Scan;
import kelvo.watchlist.Watchlist;

/**
 * What the trader looks for: the scans that count for review, and what rings besides.
 *
 * @param lists the watchlists besides the Ten
 */
public record WantedHits(List<Scan> scans, List<Watchlist> lists, AlertBook alerts) {
  public WantedHits {
    scans = List.copyOf(scans);
    lists = List.copyOf(lists);
  }

  /** As the engine looks for it on a day. */
  public Program on(LocalDate day, DayBook book) {
    return new Program(
        scans, book.levels(), AlertScans.on(day, lists, book, scans).of(alerts.alerts()));
  }

  /** The lists as they are on a day. */
  public List<Watchlist> listsOn(LocalDate day) {
    return lists.stream().map(list -> list.on(day)).toList();
  }

  /** The same with other scans. */
  WantedHits with(List<Scan> others) {
    return new WantedHits(others, lists, alerts);
  }
}
