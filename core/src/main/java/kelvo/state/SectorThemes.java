package kelvo.state;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.news.Themes;
import kelvo.session.Security;
import kelvo.session.Session;
import kelvo.tape.Price;

/**
 * Which securities of each sector move together, worked out when it is asked for and kept until the
 * next event. Owned by the market's thread.
 */
final class SectorThemes {
  private static final int WAYS = 2;

  private final Session session;
  private final List<SymbolState> states;

  /** The previous closes, side by side in memory: most securities are no movers by them alone. */
  private final long[] closes;

  private final Map<String, Integer> sectors = new HashMap<>();
  private final List<List<Integer>> members = new ArrayList<>();
  private final List<Known> known = new ArrayList<>();

  private static final class Known {
    int events = -1;
    List<Themes.Mover> together = List.of();
  }

  SectorThemes(Session session, List<SymbolState> states) {
    this.session = session;
    this.states = states;
    closes = states.stream().mapToLong(SymbolState::previousClose).toArray();
    for (int i = 0; i < session.securities().size(); i++) {
      String sector = session.security(i).security().sector();
      int place = sectors.computeIfAbsent(sector, none -> newSector());
      members.get(place).add(i);
    }
  }

  private int newSector() {
    members.add(new ArrayList<>());
    for (int way = 0; way < WAYS; way++) {
      known.add(new Known());
    }
    return members.size() - 1;
  }

  /**
   * The movers of a security's sector in its direction, the leader first; none when it stands at
   * the previous close or no sector is known.
   *
   * @param events how many events the market has taken
   */
  List<Themes.Mover> of(SymbolState state, int events) {
    String sector = session.security(state.id()).security().sector();
    int way = Double.compare(percent(state), 0);
    if (sector.isEmpty() || way == 0 || Double.isNaN(percent(state))) {
      return List.of();
    }
    int place = sectors.getOrDefault(sector, 0);
    Known theme = known.get(WAYS * place + (way > 0 ? 1 : 0));
    if (theme.events != events) {
      theme.together = Themes.together(movers(place, way));
      theme.events = events;
    }
    return theme.together;
  }

  private List<Themes.Mover> movers(int sector, int way) {
    List<Themes.Mover> movers = new ArrayList<>();
    for (int id : members.get(sector)) {
      SymbolState state = states.get(id);
      double percent = percent(state);
      if (way * percent >= Themes.MOVES) {
        double dollars = state.dollarVolume() / (double) Price.DOLLAR;
        if (dollars >= Themes.MIN_DOLLARS) {
          Security security = session.security(id).security();
          movers.add(new Themes.Mover(security.symbol(), security.sector(), percent, dollars));
        }
      }
    }
    return movers;
  }

  private double percent(SymbolState state) {
    long close = closes[state.id()];
    long price = state.lastPrice();
    return close == Price.NONE || price == Price.NONE
        ? Double.NaN
        : 100.0 * (price - close) / close;
  }
}
