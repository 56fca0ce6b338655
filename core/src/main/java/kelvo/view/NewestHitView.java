package kelvo.view;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import kelvo.hit.Hit;

/** Shows the newest hit of a symbol, if it has had one. */
public final class NewestHitView implements View<Optional<Hit>> {
  private final String symbol;
  private final Set<String> scans;

  /** The newest hit by one of these scans. */
  public NewestHitView(String symbol, Set<String> scans) {
    this.symbol = symbol;
    this.scans = Set.copyOf(scans);
  }

  @Override
  public Optional<Hit> look(Moment moment) {
    List<Hit> hits = moment.hits();
    for (int i = hits.size() - 1; i >= 0; i--) {
      Hit hit = hits.get(i);
      if (hit.symbol().equals(symbol) && scans.contains(hit.scan())) {
        return Optional.of(hit);
      }
    }
    return Optional.empty();
  }
}
