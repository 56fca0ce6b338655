package kelvo.watchlist;

import java.util.List;
import java.util.Optional;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;

/**
 * The watchlist of the day: what the trader decided in the morning to keep, at a moment.
 *
 * @param kept the decisions in force, in the order in which symbols were first decided
 */
public record TheTen(List<Decision> kept) {
  /** How it is called. */
  public static final String NAME = "the Ten";

  /** How many symbols it holds unless the trader says otherwise. */
  public static final int DEFAULT_SIZE = 10;

  /** The fewest that it may be told to hold. */
  public static final int MIN_SIZE = 1;

  /** The most that it may be told to hold. */
  public static final int MAX_SIZE = 50;

  public TheTen {
    kept = List.copyOf(kept);
  }

  /** The Ten of a day as it stood at a moment, {@link kelvo.time.DayTime}. */
  public static TheTen at(DayBook book, long moment) {
    return new TheTen(
        book.decidedAt(moment).values().stream().filter(d -> d.choice() == Choice.KEEP).toList());
  }

  /** Its symbols as a watchlist. */
  public Watchlist watchlist() {
    return Watchlist.of(NAME, kept.stream().map(Decision::symbol).toList());
  }

  /** The symbols, in order. */
  public List<String> symbols() {
    return watchlist().symbols();
  }

  /** The decision that keeps a symbol; empty when it is not on it. */
  public Optional<Decision> on(String symbol) {
    return kept.stream().filter(d -> d.symbol().equals(symbol)).findFirst();
  }

  /** Whether there is no room for a symbol while so many may be held. */
  public boolean isFullFor(String symbol, int size) {
    return kept.size() >= size && on(symbol).isEmpty();
  }
}
