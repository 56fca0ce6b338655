package kelvo.view;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.hit.Hit;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/** Shows the day's largest movers that no scan has hit so far. */
public final class UnfoundView implements View<List<UnfoundView.Mover>> {
  private static final int MOST = 40;

  /** With fewer prints a price is not much of a move. */
  private static final int LEAST_TRADES = 20;

  /**
   * A security that moved.
   *
   * @param changePercent from the previous close
   * @param volume shares so far
   */
  public record Mover(String symbol, double changePercent, double volume) {}

  private final Session session;
  private final Set<String> scans;
  private final Field.Reading change;
  private final Field.Reading volume;
  private final Set<Integer> found = new HashSet<>();
  private int program = -1;
  private int looked;

  /**
   * The movers of a session.
   *
   * @param scans the names of the scans whose hits count
   */
  public UnfoundView(Session session, Set<String> scans) {
    this.session = session;
    this.scans = Set.copyOf(scans);
    change = FieldCatalogue.number("change %").bind(session);
    volume = FieldCatalogue.number("volume").bind(session);
  }

  @Override
  public List<Mover> look(Moment moment) {
    remember(moment);
    List<Mover> movers = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      SymbolState state = moment.state(i);
      if (!found.contains(i) && state.trades() >= LEAST_TRADES) {
        double moved = change.at(state, moment.now());
        if (!Double.isNaN(moved)) {
          movers.add(
              new Mover(session.security(i).symbol(), moved, volume.at(state, moment.now())));
        }
      }
    }
    movers.sort(
        Comparator.comparingDouble((Mover mover) -> -Math.abs(mover.changePercent()))
            .thenComparing(Mover::symbol));
    return List.copyOf(movers.subList(0, Math.min(MOST, movers.size())));
  }

  private void remember(Moment moment) {
    List<Hit> hits = moment.hits();
    if (moment.program() != program || hits.size() < looked) {
      program = moment.program();
      found.clear();
      looked = 0;
    }
    for (; looked < hits.size(); looked++) {
      Hit hit = hits.get(looked);
      if (scans.contains(hit.scan())) {
        found.add(hit.security());
      }
    }
  }
}
