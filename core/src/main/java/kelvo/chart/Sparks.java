package kelvo.chart;

import java.util.HashMap;
import java.util.Map;
import kelvo.session.Session;
import kelvo.state.SymbolState;

/**
 * The small lines of the securities that a list shows. A line is made again only when its security
 * has traded, since lists are long and looked at many times a second. Used on the engine's thread.
 */
public final class Sparks {
  private final SecurityBars bars;
  private final Map<Integer, Known> known = new HashMap<>();

  /** A line, and how its security stood when it was made. */
  private record Known(long trades, double volume, long price, Spark spark) {
    boolean isOf(SymbolState state) {
      return trades == state.trades() && volume == state.volume() && price == state.price();
    }
  }

  /** Lines of a session. */
  public Sparks(Session session) {
    bars = new SecurityBars(session);
  }

  /** The day of a security from 04:00 to a moment. */
  public Spark at(SymbolState state, long moment) {
    Known last = known.get(state.id());
    if (last == null || !last.isOf(state)) {
      Spark spark = Spark.of(bars.at(state.id(), moment));
      last = new Known(state.trades(), state.volume(), state.price(), spark);
      known.put(state.id(), last);
    }
    return last.spark;
  }
}
