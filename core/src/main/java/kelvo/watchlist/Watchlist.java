package kelvo.watchlist;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import kelvo.delivery.Channel;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * Symbols that somebody watches, in the trader's order.
 *
 * @param name how it is called on screen
 * @param entries a symbol each
 * @param follows the name of the scan whose finds stand on it too; empty for none
 * @param note what it is for; may be empty
 * @param columns the words of the fields shown beside each symbol
 * @param how the ways in which hits on its symbols reach the trader
 */
public record Watchlist(
    String name,
    List<Entry> entries,
    String follows,
    String note,
    List<String> columns,
    Set<Channel> how) {
  /**
   * A symbol on a list.
   *
   * @param symbol the ticker
   * @param until the last date on which it stands there; null for good
   * @param section the part of the list; empty for none
   * @param mark a sign beside it
   * @param note what to know about it; may be empty
   */
  public record Entry(
      String symbol, @Nullable LocalDate until, String section, Mark mark, String note) {
    /** A symbol with nothing said about it, for good. */
    public static Entry of(String symbol) {
      return new Entry(symbol, null, "", Mark.NONE, "");
    }

    /** Whether it stands there on a date. */
    public boolean standsOn(LocalDate date) {
      return until == null || !date.isAfter(until);
    }

    /** Standing there until a date; null for good. */
    public Entry until(@Nullable LocalDate date) {
      return new Entry(symbol, date, section, mark, note);
    }

    /** In another section. */
    public Entry in(String other) {
      return new Entry(symbol, until, other, mark, note);
    }

    /** With another mark. */
    public Entry marked(Mark other) {
      return new Entry(symbol, until, section, other, note);
    }

    /** With another note. */
    public Entry noted(String words) {
      return new Entry(symbol, until, section, mark, words);
    }
  }

  public Watchlist {
    entries = List.copyOf(entries);
    columns = List.copyOf(columns);
    how = Set.copyOf(how);
    if (name.isBlank()) {
      throw new RefusedException("a watchlist needs a name");
    }
    List<String> symbols = entries.stream().map(Entry::symbol).toList();
    if (symbols.stream().distinct().count() != symbols.size()) {
      throw new RefusedException(
          "a watchlist holds each symbol once, found " + symbols + " in \"" + name + "\"");
    }
  }

  /** A list of these symbols, for good. */
  public static Watchlist of(String name, List<String> symbols) {
    return new Watchlist(
        name, symbols.stream().map(Entry::of).toList(), "", "", List.of(), Channel.USUAL);
  }

  /** The symbols, in order. */
  public List<String> symbols() {
    return entries.stream().map(Entry::symbol).toList();
  }

  /** Whether a symbol is on it. */
  public boolean holds(String symbol) {
    return entries.stream().anyMatch(entry -> entry.symbol().equals(symbol));
  }

  /** The sections, in order; that of no name is one where it has symbols. */
  public List<String> sections() {
    return entries.stream().map(Entry::section).distinct().toList();
  }

  /** With other entries. */
  public Watchlist holding(List<Entry> others) {
    return new Watchlist(name, others, follows, note, columns, how);
  }

  /** The list as it is on a date: those whose time is over are gone. */
  public Watchlist on(LocalDate date) {
    return holding(entries.stream().filter(entry -> entry.standsOn(date)).toList());
  }

  /** With more symbols at the end; one that is there already gets its new date. */
  public Watchlist with(Collection<String> symbols, @Nullable LocalDate until) {
    List<Entry> more = new ArrayList<>(entries);
    for (String symbol : symbols) {
      if (holds(symbol)) {
        more.replaceAll(old -> old.symbol().equals(symbol) ? old.until(until) : old);
      } else {
        more.add(Entry.of(symbol).until(until));
      }
    }
    return holding(more);
  }

  /** With the entry of a symbol changed. */
  public Watchlist changing(String symbol, UnaryOperator<Entry> change) {
    return holding(
        entries.stream()
            .map(entry -> entry.symbol().equals(symbol) ? change.apply(entry) : entry)
            .toList());
  }

  /** Without a symbol. */
  public Watchlist without(String symbol) {
    return holding(entries.stream().filter(entry -> !entry.symbol().equals(symbol)).toList());
  }

  /** With a symbol so many places further down, or up when below 0, in the section there. */
  public Watchlist moved(String symbol, int places) {
    int from = symbols().indexOf(symbol);
    return from < 0 ? this : placed(symbol, Math.clamp(from + places, 0, entries.size() - 1));
  }

  /** With a symbol at a place, in the section of the one that stood there. */
  public Watchlist placed(String symbol, int place) {
    List<Entry> moved = new ArrayList<>(entries);
    int from = symbols().indexOf(symbol);
    if (from < 0 || place < 0 || place >= moved.size()) {
      return this;
    }
    String section = moved.get(place).section();
    Entry entry = moved.remove(from);
    moved.add(place, entry.in(section));
    return holding(moved);
  }

  /** With a symbol at the end of a section. */
  public Watchlist sorted(String symbol, String section) {
    int from = symbols().indexOf(symbol);
    if (from < 0) {
      return this;
    }
    List<Entry> moved = new ArrayList<>(entries);
    Entry entry = moved.remove(from).in(section);
    int place = moved.size();
    for (int i = 0; i < moved.size(); i++) {
      if (moved.get(i).section().equals(section)) {
        place = i + 1;
      }
    }
    moved.add(place, entry);
    return holding(moved);
  }

  /** Following a scan, by its name; an empty name follows none. */
  public Watchlist following(String scan) {
    return new Watchlist(name, entries, scan, note, columns, how);
  }

  /** With another note. */
  public Watchlist noted(String words) {
    return new Watchlist(name, entries, follows, words, columns, how);
  }

  /** With other fields beside each symbol. */
  public Watchlist showing(List<String> fields) {
    return new Watchlist(name, entries, follows, note, fields, how);
  }

  /** With hits on its symbols reaching the trader in other ways. */
  public Watchlist by(Set<Channel> channels) {
    return new Watchlist(name, entries, follows, note, columns, channels);
  }
}
