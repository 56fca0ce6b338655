package kelvo.view;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kelvo.news.Themes;

/**
 * The movers that the wall of small charts shows, in its own order: themes with their leaders
 * first, then the other risers and the other fallers, the farthest first.
 */
public final class MoversWall {
  /** Most charts on a wall. */
  public static final int MOST = 60;

  private static final String RISERS = "risers";
  private static final String FALLERS = "fallers";

  private MoversWall() {}

  /** The group of each symbol on the wall: a theme's sector, "risers" or "fallers". */
  static Map<String, String> of(List<MarketSnapshot.Gap> gaps, List<Themes.Theme> themes) {
    List<MarketSnapshot.Gap> traded = gaps.stream().filter(gap -> !gap.thin()).toList();
    Map<String, String> groups = new LinkedHashMap<>();
    for (Themes.Theme theme : themes) {
      theme.members().forEach(m -> groups.put(m.symbol(), theme.sector()));
    }
    Map<String, List<MarketSnapshot.Gap>> others = new HashMap<>();
    traded.stream()
        .filter(gap -> !groups.containsKey(gap.symbol()))
        .sorted(Comparator.comparingDouble(gap -> -Math.abs(gap.percent())))
        .forEach(
            gap ->
                others
                    .computeIfAbsent(gap.percent() > 0 ? RISERS : FALLERS, k -> new ArrayList<>())
                    .add(gap));
    int each = Math.max(0, MOST - groups.size()) / 2;
    for (String way : List.of(RISERS, FALLERS)) {
      others.getOrDefault(way, List.of()).stream()
          .limit(each)
          .forEach(gap -> groups.put(gap.symbol(), way));
    }
    return groups;
  }
}
