package kelvo.review;

import java.util.List;
import kelvo.hit.Hit;
import kelvo.scan.Side;

/**
 * The hits of one symbol and one side that belong to one stretch: one opportunity.
 *
 * @param hits in order of time, over all scans that count
 */
public record Move(int security, String symbol, Side side, List<Hit> hits) {
  public Move {
    hits = List.copyOf(hits);
  }

  /** Time of the first hit. */
  public long start() {
    return hits.getFirst().at();
  }

  /** Price of the first hit, {@link kelvo.tape.Price} units. */
  public long startPrice() {
    return hits.getFirst().price();
  }

  /** Time of the last hit. */
  public long end() {
    return hits.getLast().at();
  }

  /** The names of the scans that hit, in order. */
  public List<String> scans() {
    return hits.stream().map(Hit::scan).distinct().toList();
  }
}
