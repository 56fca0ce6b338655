package kelvo.view;

import java.util.List;
import kelvo.hit.Hit;

/** Shows all hits so far, oldest first. */
public final class HitsView implements View<List<Hit>> {
  @Override
  public List<Hit> look(Moment moment) {
    return moment.hits();
  }
}
