package kelvo.watchlist;

import java.util.List;

/**
 * Symbols that somebody watches, in the trader's order.
 *
 * @param name how it is called on screen
 * @param symbols each once
 */
public record Watchlist(String name, List<String> symbols) {
  public Watchlist {
    symbols = List.copyOf(symbols);
    if (name.isBlank()) {
      throw new IllegalArgumentException("a watchlist needs a name");
    }
    if (symbols.stream().distinct().count() != symbols.size()) {
      throw new IllegalArgumentException(
          "a watchlist holds each symbol once, found " + symbols + " in \"" + name + "\"");
    }
  }

  /** Whether a symbol is on it. */
  public boolean holds(String symbol) {
    return symbols.contains(symbol);
  }
}
