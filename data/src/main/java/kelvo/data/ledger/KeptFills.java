package kelvo.data.ledger;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import kelvo.data.folder.DataFolder;
import kelvo.journal.DayBook;
import kelvo.trade.CarriedPositions;
import kelvo.trade.Fill;

/** A day's fills and what was held when it began, from the ledger and a folder's own files. */
public final class KeptFills {
  private KeptFills() {}

  /** What a ledger knows of a day, with the folder's own fills. */
  public static DayBook of(Ledger ledger, DataFolder data, LocalDate day) {
    DayBook kept = ledger.day(day);
    SortedMap<LocalDate, List<Fill>> earlier = new TreeMap<>(ledger.fillsBefore(day));
    data.fillsBefore(day).forEach((then, fills) -> earlier.merge(then, fills, KeptFills::together));
    return kept.adding(data.fills(day))
        .carrying(CarriedPositions.before(day, earlier, data.splitsUntil(day)));
  }

  /** A day's book with the fills of one file alone. */
  public static DayBook of(
      DayBook kept, DataFolder data, SortedMap<LocalDate, List<Fill>> fills, LocalDate day) {
    return kept.withFills(fills.getOrDefault(day, List.of()))
        .carrying(CarriedPositions.before(day, fills, data.splitsUntil(day)));
  }

  /**
   * Adds fills to a ledger. Those that it has already, by all that is known of them, add nothing.
   *
   * @return how many are new
   */
  public static int add(Ledger ledger, SortedMap<LocalDate, List<Fill>> byDay) {
    int added = 0;
    for (var day : byDay.entrySet()) {
      List<Fill> known = ledger.day(day.getKey()).fills();
      added += together(known, day.getValue()).size() - known.size();
      ledger.addFills(day.getKey(), day.getValue());
    }
    return added;
  }

  private static List<Fill> together(List<Fill> kept, List<Fill> own) {
    return DayBook.EMPTY.withFills(kept).adding(new ArrayList<>(own)).fills();
  }
}
