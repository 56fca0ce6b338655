package kelvo.view;

import java.util.List;
import java.util.Optional;
import kelvo.hit.Hit;
import kelvo.tape.Price;

/**
 * Shows what symbol one may look at without choosing: that of the newest hit, else the one with the
 * most dollars traded; nobody before the first print.
 */
public final class LivelySymbolView implements View<Optional<String>> {
  @Override
  public Optional<String> look(Moment moment) {
    List<Hit> hits = moment.hits();
    if (!hits.isEmpty()) {
      return Optional.of(hits.getLast().symbol());
    }
    Optional<String> most = Optional.empty();
    double dollars = 0;
    for (int i = 0; i < moment.session().securities().size(); i++) {
      double traded = moment.state(i).dollarVolume();
      if (moment.state(i).lastPrice() != Price.NONE && traded > dollars) {
        dollars = traded;
        most = Optional.of(moment.session().security(i).symbol());
      }
    }
    return most;
  }
}
