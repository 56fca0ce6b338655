package kelvo.view;

import java.util.List;
import java.util.Set;
import kelvo.hit.Hit;
import kelvo.hit.SymbolStream;
import kelvo.scan.Scan;
import kelvo.session.Session;

/** Shows the hits so far as one row a symbol, the newest first. */
public final class StreamView implements View<List<StreamView.Streamed>> {
  private final List<Scan> scans;
  private final Set<String> hidden;
  private int program = -1;
  private int hitsShown;
  private List<SymbolStream.Row> rows = List.of();
  private final CardsView.Cards cards;

  /**
   * A symbol's hits, and how it stands now.
   *
   * @param moment of now, {@link kelvo.time.DayTime}
   */
  public record Streamed(SymbolStream.Row hits, CardsView.Card now, long moment) {
    /** Whether it shows strength: by the side of the newest hit, else by the change of now. */
    public boolean isStrength() {
      int direction = hits.newest().side().direction();
      return direction == 0 ? !(now.changePercent() < 0) : direction > 0;
    }

    /** How long ago the newest hit was, nanoseconds. */
    public long age() {
      return Math.max(0, moment - hits.newest().at());
    }
  }

  /**
   * The stream of these scans and of levels.
   *
   * @param hidden the names of scans that are left out
   */
  public StreamView(Session session, List<Scan> scans, Set<String> hidden) {
    cards = new CardsView.Cards(session);
    this.scans = List.copyOf(scans);
    this.hidden = Set.copyOf(hidden);
  }

  @Override
  public List<Streamed> look(Moment moment) {
    List<Hit> hits = moment.hits();
    if (moment.program() != program || hits.size() != hitsShown) {
      program = moment.program();
      hitsShown = hits.size();
      rows = SymbolStream.of(hits, scans, scan -> !hidden.contains(scan));
    }
    return rows.stream()
        .map(
            row ->
                new Streamed(
                    row,
                    cards.card(
                        row.newest().symbol(), moment.state(row.newest().security()), moment),
                    moment.now()))
        .toList();
  }
}
