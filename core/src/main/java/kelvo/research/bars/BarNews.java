package kelvo.research.bars;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kelvo.news.Catalyst;
import org.jspecify.annotations.Nullable;

/** The news of a session by security. Immutable. */
final class BarNews {
  private final Map<String, List<Catalyst>> bySymbol = new HashMap<>();

  BarNews(List<Catalyst> items) {
    items.stream()
        .sorted(Comparator.comparingLong(Catalyst::known))
        .forEach(
            item ->
                item.symbols()
                    .forEach(
                        symbol ->
                            bySymbol.computeIfAbsent(symbol, s -> new ArrayList<>()).add(item)));
  }

  /** The item published last of those that were known by a moment; null without one. */
  @Nullable Catalyst newest(String symbol, long moment) {
    Catalyst newest = null;
    for (Catalyst item : bySymbol.getOrDefault(symbol, List.of())) {
      if (item.known() <= moment && (newest == null || item.at() >= newest.at())) {
        newest = item;
      }
    }
    return newest;
  }
}
