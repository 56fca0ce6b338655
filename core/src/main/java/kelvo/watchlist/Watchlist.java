package kelvo.watchlist;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Symbols that somebody watches, in the trader's order.
 *
 * @param name how it is called on screen
 * @param entries a symbol each
 * @param follows the name of the scan whose finds stand on it too; empty for none
 */
public record Watchlist(String name, List<Entry> entries, String follows) {
  /**
   * A symbol on a list.
   *
   * @param symbol the ticker
   * @param until the last date on which it stands there; null for good
   */
  public record Entry(String symbol, @Nullable LocalDate until) {
    /** Whether it stands there on a date. */
    public boolean standsOn(LocalDate date) {
      return until == null || !date.isAfter(until);
    }
  }

  public Watchlist {
    entries = List.copyOf(entries);
    if (name.isBlank()) {
      throw new IllegalArgumentException("a watchlist needs a name");
    }
    List<String> symbols = entries.stream().map(Entry::symbol).toList();
    if (symbols.stream().distinct().count() != symbols.size()) {
      throw new IllegalArgumentException(
          "a watchlist holds each symbol once, found " + symbols + " in \"" + name + "\"");
    }
  }

  /** A list of these symbols, for good. */
  public static Watchlist of(String name, List<String> symbols) {
    return new Watchlist(
        name, symbols.stream().map(symbol -> new Entry(symbol, null)).toList(), "");
  }

  /** The symbols, in order. */
  public List<String> symbols() {
    return entries.stream().map(Entry::symbol).toList();
  }

  /** Whether a symbol is on it. */
  public boolean holds(String symbol) {
    return entries.stream().anyMatch(entry -> entry.symbol().equals(symbol));
  }

  /** The list as it is on a date: those whose time is over are gone. */
  public Watchlist on(LocalDate date) {
    return new Watchlist(
        name, entries.stream().filter(entry -> entry.standsOn(date)).toList(), follows);
  }

  /** With more symbols at the end; one that is there already gets its new date. */
  public Watchlist with(Collection<String> symbols, @Nullable LocalDate until) {
    List<Entry> more = new ArrayList<>(entries);
    for (String symbol : symbols) {
      Entry entry = new Entry(symbol, until);
      if (holds(symbol)) {
        more.replaceAll(old -> old.symbol().equals(symbol) ? entry : old);
      } else {
        more.add(entry);
      }
    }
    return new Watchlist(name, more, follows);
  }

  /** Without a symbol. */
  public Watchlist without(String symbol) {
    return new Watchlist(
        name, entries.stream().filter(entry -> !entry.symbol().equals(symbol)).toList(), follows);
  }

  /** With a symbol so many places further down, or up when below 0. */
  public Watchlist moved(String symbol, int places) {
    List<Entry> moved = new ArrayList<>(entries);
    for (int i = 0; i < moved.size(); i++) {
      if (moved.get(i).symbol().equals(symbol)) {
        Entry entry = moved.remove(i);
        moved.add(Math.clamp(i + places, 0, moved.size()), entry);
        break;
      }
    }
    return new Watchlist(name, moved, follows);
  }

  /** Following a scan, by its name; an empty name follows none. */
  public Watchlist following(String scan) {
    return new Watchlist(name, entries, scan);
  }
}
