package kelvo.state;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.news.Themes;
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
  private final List<CorrectionListener> hearing = new ArrayList<>();
  private final Map<Integer, SecurityCheckpoints> checkpoints = new HashMap<>();
  private final Map<Integer, OpeningRange> openingRanges = new HashMap<>();
  private List<SymbolState> states = List.of();
  private @Nullable SectorThemes themes;
  private int events;
  private @Nullable HitCounts hitCounts;

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

  /** From now on asks somebody about the hits of scans. */
  public void hitCounts(HitCounts counts) {
    hitCounts = counts;
  }

  /** Who knows the hits of scans in this market; null when nobody does. */
  public @Nullable HitCounts hitCounts() {
    return hitCounts;
  }

  /**
   * From now on tells somebody of each event that is played again because of a correction, before
   * anybody hears of the correction itself. Playing again is what a correction costs, so that it is
   * done once for all who follow.
   */
  public void hearCorrections(CorrectionListener listener) {
    hearing.add(listener);
    checkpoints.clear();
  }

  List<CorrectionListener> hearing() {
    return hearing;
  }

  /** From where a security can be played on; only for those that had a correction. */
  SecurityCheckpoints checkpoints(int security) {
    return checkpoints.computeIfAbsent(security, any -> new SecurityCheckpoints());
  }

  /** Notes how many events have been taken, so that what was worked out before no longer counts. */
  public void taken(int count) {
    events = count;
  }

  /**
   * The movers of a security's sector in its direction, the leader first; none when the rest of the
   * market is not seen. See {@link Themes#together}.
   */
  public List<Themes.Mover> theme(SymbolState of) {
    if (states.isEmpty()) {
      return List.of();
    }
    SectorThemes known = themes == null ? new SectorThemes(session, states) : themes;
    themes = known;
    return known.of(of, events);
  }

  /** The ranges of the first minutes of regular hours, which all who ask for them share. */
  public OpeningRange openingRange(int minutes) {
    return openingRanges.computeIfAbsent(minutes, m -> new OpeningRange(session, m));
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
