package kelvo.view;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.news.Themes;
import kelvo.session.Session;

/**
 * Shows a wall of small charts of the movers: themes with their leaders first, then the other
 * risers and the other fallers, the farthest first.
 */
public final class WallView implements View<WallView.Wall> {
  /** Most charts on a wall. */
  public static final int MAX_CHARTS = 40;

  private static final String RISERS = "risers";
  private static final String FALLERS = "fallers";

  private final GapsView gaps;
  private final CardsView.Cards cards;

  /** A small chart, and the theme, "risers" or "fallers" that it belongs to. */
  public record Tile(CardsView.Card card, String group) {}

  /** The wall at a moment, {@link kelvo.time.DayTime}. */
  public record Wall(long moment, List<Tile> tiles) {}

  /** The wall of a session. */
  public WallView(Session session) {
    gaps = new GapsView(session);
    cards = new CardsView.Cards(session);
  }

  @Override
  public Wall look(Moment moment) {
    Map<String, String> groups = groups(gaps.look(moment));
    return new Wall(
        moment.now(),
        cards.of(List.copyOf(groups.keySet()), moment).stream()
            .map(card -> new Tile(card, groups.getOrDefault(card.symbol(), "")))
            .toList());
  }

  /** The group of each symbol on the wall, in the order of the wall. */
  private static Map<String, String> groups(GapsView.Gaps gaps) {
    Map<String, String> groups = new LinkedHashMap<>();
    for (Themes.Theme theme : gaps.themes()) {
      theme.members().forEach(m -> groups.put(m.symbol(), theme.sector()));
    }
    Map<String, List<GapsView.Gap>> others = new HashMap<>();
    gaps.all().stream()
        .filter(gap -> !gap.thin() && !groups.containsKey(gap.symbol()))
        .sorted(Comparator.comparingDouble(gap -> -Math.abs(gap.percent())))
        .forEach(
            gap ->
                others
                    .computeIfAbsent(gap.percent() > 0 ? RISERS : FALLERS, k -> new ArrayList<>())
                    .add(gap));
    int each = Math.max(0, MAX_CHARTS - groups.size()) / 2;
    for (String way : List.of(RISERS, FALLERS)) {
      others.getOrDefault(way, List.of()).stream()
          .limit(each)
          .forEach(gap -> groups.put(gap.symbol(), way));
    }
    return groups;
  }
}
