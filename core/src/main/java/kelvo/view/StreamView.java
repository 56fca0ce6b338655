package kelvo.view;

import java.util.List;
import java.util.Set;
import kelvo.hit.Hit;
import kelvo.hit.SymbolStream;
import kelvo.scan.Scan;

/** Shows the hits so far as one row a symbol, the newest first. */
public final class StreamView implements View<List<SymbolStream.Row>> {
  private final List<Scan> scans;
  private final Set<String> hidden;
  private int program = -1;
  private int hitsShown;
  private List<SymbolStream.Row> rows = List.of();

  /**
   * The stream of these scans and of levels.
   *
   * @param hidden the names of scans that are left out
   */
  public StreamView(List<Scan> scans, Set<String> hidden) {
    this.scans = List.copyOf(scans);
    this.hidden = Set.copyOf(hidden);
  }

  @Override
  public List<SymbolStream.Row> look(Moment moment) {
    List<Hit> hits = moment.hits();
    if (moment.program() != program || hits.size() != hitsShown) {
      program = moment.program();
      hitsShown = hits.size();
      rows = SymbolStream.of(hits, scans, scan -> !hidden.contains(scan));
    }
    return rows;
  }
}
