package kelvo.journal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kelvo.level.Level;
import kelvo.trade.CarriedPositions;
import kelvo.trade.Fill;

/**
 * What the trader did on one day: decisions, levels, notes, what was looked at, fills. Immutable.
 * Each entry has its moment, and every question names one: nothing later is answered.
 *
 * @param carried the fills of what was held when the day began: {@link CarriedPositions}
 * @param page what the trader says of it in hindsight
 */
public record DayBook(
    List<Decision> decisions,
    List<Level> levels,
    List<Note> notes,
    List<FocusSpan> focus,
    List<Fill> fills,
    List<Fill> carried,
    JournalPage page) {
  /** A day on which nothing was done. */
  public static final DayBook EMPTY =
      new DayBook(
          List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), JournalPage.EMPTY);

  public DayBook {
    decisions = List.copyOf(decisions);
    levels = List.copyOf(levels);
    notes = List.copyOf(notes);
    focus = List.copyOf(focus);
    fills = List.copyOf(fills);
    carried = List.copyOf(carried);
  }

  /**
   * The decision in force on each symbol at a moment, in the order in which symbols were first
   * decided.
   */
  public Map<String, Decision> decidedAt(long moment) {
    Map<String, Decision> decided = new LinkedHashMap<>();
    decisions.stream()
        .filter(d -> d.at() <= moment)
        .sorted(Comparator.comparingLong(Decision::at))
        .forEach(d -> decided.put(d.symbol(), d));
    decided.values().removeIf(d -> d.choice() == Choice.UNDECIDED);
    return decided;
  }

  /** The decision in force on a symbol at a moment. */
  public Optional<Decision> decisionOn(String symbol, long moment) {
    return Optional.ofNullable(decidedAt(moment).get(symbol));
  }

  /** The levels that stand on a symbol at a moment. */
  public List<Level> levelsOn(String symbol, long moment) {
    return levels.stream().filter(l -> l.symbol().equals(symbol) && l.standsAt(moment)).toList();
  }

  /** The notes on a symbol up to a moment. */
  public List<Note> notesOn(String symbol, long moment) {
    return notes.stream().filter(n -> n.symbol().equals(symbol) && n.at() <= moment).toList();
  }

  /** The fills up to a moment. */
  public List<Fill> fillsUntil(long moment) {
    return fills.stream().filter(f -> f.at() <= moment).toList();
  }

  /** The fills up to a moment that trades of the day are made of: also those carried into it. */
  public List<Fill> tradedUntil(long moment) {
    return Stream.concat(carried.stream(), fillsUntil(moment).stream()).toList();
  }

  /** This book with what was held when the day began. */
  public DayBook carrying(List<Fill> held) {
    return new DayBook(decisions, levels, notes, focus, fills, held, page);
  }

  /** This book with one more decision. */
  public DayBook with(Decision decision) {
    return new DayBook(and(decisions, decision), levels, notes, focus, fills, carried, page);
  }

  /** This book with one more level. */
  public DayBook with(Level level) {
    return new DayBook(decisions, and(levels, level), notes, focus, fills, carried, page);
  }

  /** This book with a level that stops counting at a moment. */
  public DayBook without(Level level, long moment) {
    List<Level> changed = new ArrayList<>(levels);
    changed.replaceAll(l -> l.equals(level) ? l.until(moment) : l);
    return new DayBook(decisions, changed, notes, focus, fills, carried, page);
  }

  /** This book with one more note. */
  public DayBook with(Note note) {
    return new DayBook(decisions, levels, and(notes, note), focus, fills, carried, page);
  }

  /** This book with one more span of focus. */
  public DayBook with(FocusSpan span) {
    return new DayBook(decisions, levels, notes, and(focus, span), fills, carried, page);
  }

  /** This book with another page of the journal. */
  public DayBook with(JournalPage other) {
    return new DayBook(decisions, levels, notes, focus, fills, carried, other);
  }

  /** This book with other fills. */
  public DayBook withFills(List<Fill> others) {
    return new DayBook(decisions, levels, notes, focus, others, carried, page);
  }

  /**
   * This book with fills that may be in it already: each is in it as often as in the one of the two
   * lists that has it more often. By time.
   */
  public DayBook adding(List<Fill> others) {
    List<Fill> all = new ArrayList<>(fills);
    List<Fill> known = new ArrayList<>(fills);
    for (Fill fill : others) {
      if (!known.remove(fill)) {
        all.add(fill);
      }
    }
    all.sort(Comparator.comparingLong(Fill::at));
    return withFills(all);
  }

  private static <T> List<T> and(List<T> list, T one) {
    List<T> longer = new ArrayList<>(list);
    longer.add(one);
    return longer;
  }
}
