package kelvo.scan;

import java.util.Comparator;
import java.util.List;
import kelvo.field.Field;
import kelvo.field.RecentHits;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/** The order in which a scan lists what fits it, made ready for one session. */
public final class ScanOrder {
  private final Session session;
  private final List<SortOrder> orders;
  private final Field.Reading[] readings;

  /** Prepares the order of a scan. */
  public ScanOrder(Scan scan, Session session) {
    this.session = session;
    orders = scan.sort();
    readings =
        orders.stream()
            .map(order -> RecentHits.in(order.field(), scan.name()).bind(session))
            .toArray(Field.Reading[]::new);
  }

  /** The order in force at a moment, by its place; -1 when it is by symbol. */
  public int at(long now) {
    int found = -1;
    for (int i = 0; i < readings.length; i++) {
      if (orders.get(i).from() <= now) {
        found = i;
      }
    }
    return found;
  }

  /** Whether the order of a place may change as time passes without an event. */
  public boolean changesWithTime(int order) {
    return order >= 0
        && switch (orders.get(order).field().pace()) {
          case FIXED, EVENTS, QUOTES -> false;
          case LAST_MINUTE, LAST_FIVE_MINUTES, MINUTES, FALLING, CLOCK -> true;
        };
  }

  /** What a security is ordered by: the smallest comes first, unknown last. */
  public double key(int order, SymbolState state, long now) {
    if (order < 0) {
      return 0;
    }
    double value = readings[order].at(state, now);
    return Double.isNaN(value)
        ? Double.POSITIVE_INFINITY
        : orders.get(order).descending() ? -value : value;
  }

  /** The order of securities by their keys, by symbol where these are equal. */
  public Comparator<Integer> comparing(java.util.function.IntToDoubleFunction key) {
    return Comparator.<Integer>comparingDouble(key::applyAsDouble)
        .thenComparing(i -> session.security(i).symbol());
  }
}
