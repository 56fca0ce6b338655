package kelvo.data.fill;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.trade.Fill;

/**
 * The fills that a feed or a broker has told in a session. Two equal ones are two executions, so
 * whoever hears of a new one hears of those before it that are equal, and of no others: a day with
 * thousands of fills is not handed on whole at each of them. For one thread.
 */
public final class ToldFills {
  private final Map<Fill, Integer> counts = new HashMap<>();
  private final Set<Fill> fresh = new LinkedHashSet<>();

  /** Begins with fills that have been handed on already. */
  public ToldFills(List<Fill> before) {
    before.forEach(fill -> counts.merge(fill, 1, Integer::sum));
  }

  /** Takes a fill that has just been told. */
  public void add(Fill fill) {
    counts.merge(fill, 1, Integer::sum);
    fresh.add(fill);
  }

  /** Those that were added since the last call, each as often as it has been told in all. */
  public List<Fill> take() {
    List<Fill> taken = new ArrayList<>();
    for (Fill fill : fresh) {
      taken.addAll(Collections.nCopies(counts.getOrDefault(fill, 0), fill));
    }
    fresh.clear();
    return taken;
  }
}
