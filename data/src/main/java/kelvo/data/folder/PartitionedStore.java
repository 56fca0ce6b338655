package kelvo.data.folder;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import kelvo.job.Progress;
import kelvo.refusal.RefusedException;
import kelvo.research.UsualSpreads;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;

/**
 * Writes what research asks of minute bars as a store that any engine can read which reads
 * hive-partitioned Parquet: a folder a table, minutes in a folder a date. The columns are those of
 * docs/formats.md.
 */
public final class PartitionedStore {
  /** Its tables, a folder each. */
  public static final List<String> TABLES =
      List.of("minutes", "daily", "securities", "actions", "trading_days", "spreads");

  private static final List<String> MINUTES =
      List.of("symbol", "time", "open", "high", "low", "close", "volume", "trades");
  private static final List<String> DAILY =
      List.of("symbol", "date", "open", "high", "low", "close", "volume", "trades");
  private static final List<String> SECURITIES =
      List.of(
          "symbol", "name", "mic", "cfi", "sector", "industry", "country", "float", "float_as_of");
  private static final List<String> ACTIONS = List.of("symbol", "date", "kind", "ratio", "amount");
  private static final List<String> SPREADS = List.of("symbol", "hour", "spread");
  private static final List<String> TRADING_DAYS =
      List.of("date", "close_minute", "day_2", "day_3", "day_5");

  private final Path root;
  private final Path out;
  private final TradingCalendar calendar;
  private final TableConversion conversion = new TableConversion();

  /** A store of a data folder. */
  public PartitionedStore(Path root, Path out, TradingCalendar calendar) {
    this.root = root;
    this.out = out;
    this.calendar = calendar;
  }

  /**
   * Writes all tables, and tells faults and rows.
   *
   * @throws RefusedException when a table of the store is there already, or the folder has no
   *     minutes
   */
  public TableConversion write(Progress progress) {
    DataFolder folder = new DataFolder(root, calendar);
    List<LocalDate> dates = folder.minuteDates();
    if (dates.isEmpty()) {
      throw new RefusedException(
          root + " has no minute bars; expected tables such as minutes/2031-03-12.csv");
    }
    table("securities", SECURITIES);
    table("daily", DAILY);
    table("actions", ACTIONS);
    temporary(
        "trading_days",
        TRADING_DAYS,
        csv -> {
          for (LocalDate date : dates) {
            LocalDate second = after(date);
            LocalDate third = after(second);
            csv.writeRecord(
                date.toString(),
                Long.toString(calendar.hours(date).close() / DayTime.MINUTE),
                second.toString(),
                third.toString(),
                after(after(third)).toString());
          }
        });
    temporary(
        "spreads",
        SPREADS,
        csv -> {
          UsualSpreads usual = folder.usualSpreads(date -> true, Progress.NONE);
          for (UsualSpreads.Row row : usual.rows()) {
            csv.writeRecord(row.symbol(), Integer.toString(row.hour()), Price.exact(row.spread()));
          }
        });
    for (int i = 0; i < dates.size(); i++) {
      progress.done((double) i / dates.size());
      LocalDate date = dates.get(i);
      Path minutes = EarlierFiles.of(MinuteFiles.stem(root, date)).orElseThrow();
      conversion.table(
          minutes,
          out.resolve("minutes").resolve("date=" + date).resolve("minutes.parquet"),
          MINUTES);
    }
    progress.done(1);
    return conversion;
  }

  private LocalDate after(LocalDate date) {
    LocalDate next = date.plusDays(1);
    while (calendar.hours(next).kind() == SessionHours.Kind.CLOSED) {
      next = next.plusDays(1);
    }
    return next;
  }

  /** A table of the folder; one that it has not is empty. */
  private void table(String name, List<String> columns) {
    Path there = EarlierFiles.of(root.resolve(name)).orElse(null);
    if (there == null) {
      temporary(name, columns, csv -> {});
    } else {
      conversion.table(there, parquet(name), columns);
    }
  }

  private Path parquet(String name) {
    return out.resolve(name).resolve(name + ".parquet");
  }

  /** A table of rows that are made. */
  private void temporary(String name, List<String> columns, Consumer<CsvWriter> rows) {
    try {
      Path folder = Files.createTempDirectory("kelvo-store");
      Path file = folder.resolve(name + ".csv");
      try {
        try (CsvWriter csv = CsvWriter.builder().build(file)) {
          csv.writeRecord(columns);
          rows.accept(csv);
        }
        conversion.table(file, parquet(name), new ArrayList<>(columns));
      } finally {
        Files.deleteIfExists(file);
        Files.delete(folder);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
