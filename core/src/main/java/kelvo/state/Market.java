package kelvo.state;

import java.util.List;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.time.SessionHours;
import org.jspecify.annotations.Nullable;

/**
 * What all securities of a session share while it is played: its tape, its hours, and what can be
 * said of the market as a whole. Owned by one thread.
 */
public final class Market {
  private final Session session;
  private final EventTape tape;
  private final SessionHours hours;
  private final @Nullable MarketGauge gauge;
  private List<SymbolState> states = List.of();

  private Market(Session session, @Nullable MarketGauge gauge) {
    this.session = session;
    this.gauge = gauge;
    tape = session.tape();
    hours = session.hours();
  }

  /** A market in which one security is looked at alone: nothing is known of the rest. */
  static Market unseen(Session session) {
    return new Market(session, null);
  }

  /** A market before its first event. */
  public static Market of(Session session) {
    Market market = new Market(session, new MarketGauge(session));
    market.states = SymbolState.all(market);
    return market;
  }

  /** The states of all securities, by number. */
  public List<SymbolState> states() {
    return states;
  }

  /** What is counted of the whole market; null when it is not seen. */
  public @Nullable MarketGauge gauge() {
    return gauge;
  }

  /** The newest print of a security; {@link Price#NONE} without one, or when it is not seen. */
  public long lastPrice(int security) {
    return security < states.size() ? states.get(security).lastPrice() : Price.NONE;
  }

  /** The session that is played. */
  public Session session() {
    return session;
  }

  EventTape tape() {
    return tape;
  }

  SessionHours hours() {
    return hours;
  }
}
