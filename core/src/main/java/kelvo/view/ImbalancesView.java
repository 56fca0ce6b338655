package kelvo.view;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.session.Session;
import kelvo.state.SymbolState;
import kelvo.tape.Price;

/** Shows what the next auctions cannot pair, the most dollars first. */
public final class ImbalancesView implements View<List<ImbalancesView.Waiting>> {
  private static final int MOST = 100;

  /**
   * What an auction cannot pair.
   *
   * @param shares above 0 when more is to be bought
   * @param dollars at the price of now
   * @param ofAverage over the mean volume of 20 sessions; NaN when that is unknown
   * @param price of now, {@link Price} units
   * @param changePercent of now; NaN when unknown
   */
  public record Waiting(
      String symbol,
      long shares,
      double dollars,
      double ofAverage,
      long price,
      double changePercent) {}

  private final Session session;
  private final Field.Reading average;
  private final Field.Reading change;

  /** The imbalances of a session. */
  public ImbalancesView(Session session) {
    this.session = session;
    average = FieldCatalogue.number("avg volume 20d").bind(session);
    change = FieldCatalogue.number("change %").bind(session);
  }

  @Override
  public List<Waiting> look(Moment moment) {
    List<Waiting> found = new ArrayList<>();
    for (int i = 0; i < session.securities().size(); i++) {
      SymbolState state = moment.state(i);
      long shares = state.imbalance();
      if (shares != 0) {
        found.add(
            new Waiting(
                session.security(i).symbol(),
                shares,
                Math.abs(shares) * Price.dollars(state.price()),
                Math.abs(shares) / average.at(state, moment.now()),
                state.price(),
                change.at(state, moment.now())));
      }
    }
    found.sort(Comparator.comparingDouble(Waiting::dollars).reversed());
    return List.copyOf(found.subList(0, Math.min(MOST, found.size())));
  }
}
