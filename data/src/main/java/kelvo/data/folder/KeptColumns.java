package kelvo.data.folder;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.Function;
import kelvo.data.columns.ColumnFile;
import kelvo.data.columns.Columns;
import kelvo.data.columns.NewColumns;
import kelvo.data.columns.Sources;
import kelvo.data.fault.Faults;

/**
 * Reads parts of a data folder: from columns when they are of the tables as they are now, else from
 * the tables, of which columns are then kept and used. Thread-safe.
 */
final class KeptColumns {
  private final Columns columns;
  private final Faults faults;
  private final boolean searching;

  /**
   * For the reader of a folder.
   *
   * @param searching whether the tables themselves are looked at for what is wrong
   */
  KeptColumns(Columns columns, Faults faults, boolean searching) {
    this.columns = columns;
    this.faults = faults;
    this.searching = searching;
  }

  /** The same columns, for a part of which others are made; the faults go to another list. */
  KeptColumns telling(Faults others) {
    return new KeptColumns(columns, others, searching);
  }

  private record Found<T>(T part, List<Faults.Counted> faults) {}

  /**
   * A part of the folder.
   *
   * @param name of its column file
   * @param fromColumns takes it out of its columns
   * @param fromTables reads its tables and tells their faults
   * @param toColumns makes its columns
   * @throws CancellationException when the thread was interrupted meanwhile
   */
  <T> T read(
      String name,
      Sources sources,
      Function<ColumnFile, T> fromColumns,
      Function<Faults, T> fromTables,
      Function<T, NewColumns> toColumns) {
    Function<ColumnFile, Found<T>> take =
        file -> new Found<>(fromColumns.apply(file), KeptFaults.of(file));
    Optional<Found<T>> found = searching ? Optional.empty() : columns.find(name, sources, take);
    if (found.isPresent()) {
      faults.addCounted(found.get().faults);
      return found.get().part;
    }
    Faults own = new Faults();
    T part = fromTables.apply(own);
    if (Thread.currentThread().isInterrupted()) {
      // Whatever could not be read says nothing about the tables.
      throw new CancellationException("reading " + name + " was stopped");
    }
    faults.addAll(own);
    if (searching || !own.isWhole()) {
      return part;
    }
    columns.keep(name, sources, KeptFaults.in(toColumns.apply(part), own));
    // What was read takes memory, which its columns do not: a year of minute bars is some 4 GB.
    return columns.find(name, sources, take).map(Found::part).orElse(part);
  }
}
