package kelvo.data.folder;

import java.lang.foreign.MemorySegment;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import kelvo.data.columns.ColumnFile;
import kelvo.data.columns.NewColumns;
import kelvo.data.columns.Sources;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.history.MinuteCounts;
import kelvo.history.SessionMinutes;
import kelvo.tape.Price;
import kelvo.time.DayTime;

/**
 * The minute bars of earlier sessions, {@code minutes/DATE}, each file read once. A row counts when
 * its symbol, time, prices and volume can be read and its open and close lie between its low and
 * high. Thread-safe.
 */
final class MinuteFiles {
  private static final List<String> PRICES = List.of("open", "high", "low", "close");

  /** What is so of a row that counts. */
  private static final String WHOLE =
      "symbol is not null and minute between 0 and 1439 and volume >= 0"
          + " and low > 0 and open between low and high and close between low and high";

  private final Path root;
  private final KeptColumns kept;
  private final Map<LocalDate, Optional<SessionMinutes>> read = new ConcurrentHashMap<>();

  MinuteFiles(Path root, KeptColumns kept) {
    this.root = root;
    this.kept = kept;
  }

  /** The file of a date without its ending. */
  Path stem(LocalDate date) {
    return stem(root, date);
  }

  /** Likewise in any folder. */
  static Path stem(Path root, LocalDate date) {
    return root.resolve("minutes").resolve(date.toString());
  }

  /** What is made from the bars of a date is made from this. */
  Sources sources(LocalDate date) {
    return new Sources().file(EarlierFiles.standing(stem(date)));
  }

  /** The bars of a date; empty when there is no such file or it cannot be read at all. */
  Optional<SessionMinutes> of(LocalDate date) {
    return read.computeIfAbsent(date, d -> EarlierFiles.of(stem(d)).flatMap(f -> read(d, f)));
  }

  private Optional<SessionMinutes> read(LocalDate date, Path file) {
    return kept.read(
        "minutes/" + date,
        sources(date),
        MinuteFiles::fromColumns,
        faults -> fromTable(file, faults),
        MinuteFiles::toColumns);
  }

  private static Optional<SessionMinutes> fromColumns(ColumnFile columns) {
    if (!columns.has("minute")) {
      return Optional.empty();
    }
    MinuteCounts volume =
        new MinuteCounts(
            columns.texts("symbols"),
            columns.column("ends"),
            columns.column("minute"),
            columns.column("volume"));
    return Optional.of(
        new SessionMinutes(
            volume,
            columns.has("trades") ? of(volume, columns.column("trades")) : null,
            columns.column("open"),
            columns.column("high"),
            columns.column("low"),
            columns.column("close")));
  }

  private static MinuteCounts of(MinuteCounts other, MemorySegment counts) {
    return new MinuteCounts(other.symbols(), other.ends(), other.minutes(), counts);
  }

  private static NewColumns toColumns(Optional<SessionMinutes> read) {
    NewColumns columns = new NewColumns();
    read.ifPresent(
        minutes -> {
          MinuteCounts volume = minutes.volume();
          columns
              .withTexts("symbols", volume.symbols())
              .with("ends", volume.ends())
              .with("minute", volume.minutes())
              .with("volume", volume.counts())
              .with("open", minutes.opens())
              .with("high", minutes.highs())
              .with("low", minutes.lows())
              .with("close", minutes.closes());
          MinuteCounts trades = minutes.trades();
          if (trades != null) {
            columns.with("trades", trades.counts());
          }
        });
    return columns;
  }

  /** The database parses and sorts; it does so on all processors and without an object a row. */
  private Optional<SessionMinutes> fromTable(Path file, Faults faults) {
    String name = root.relativize(file).toString();
    try (Connection duck = DuckDb.open();
        Statement statement = duck.createStatement()) {
      boolean counted = hasTrades(statement, file);
      statement.execute(
          "create table bars as select row_number() over () + 1 as line, cast(symbol as varchar) as"
              + " symbol, try_cast(substr(cast(time as varchar), 1, 2) as smallint) * 60"
              + " + try_cast(substr(cast(time as varchar), 4, 2) as smallint) as minute, "
              + PRICES.stream().map(MinuteFiles::price).collect(Collectors.joining(", "))
              + ", try_cast(volume as bigint) as volume, "
              + (counted ? "coalesce(try_cast(trades as bigint), 0)" : "0")
              + " as trades from "
              + DuckDb.table(file));
      reportWrong(statement, name, faults);
      keepFirst(statement, name, faults);
      return Optional.of(bars(statement, counted));
    } catch (SQLException e) {
      faults.add(
          new Fault(
              name,
              0,
              "",
              "a table with symbol, time, open, high, low, close and volume",
              "a file that cannot be read as one"));
      return Optional.empty();
    }
  }

  private static boolean hasTrades(Statement statement, Path file) throws SQLException {
    try (ResultSet trades =
        statement.executeQuery(
            "select 1 from (describe select * from "
                + DuckDb.table(file)
                + ") where column_name = 'trades'")) {
      return trades.next();
    }
  }

  private static String price(String column) {
    return "round(try_cast(" + column + " as double) * " + Price.DOLLAR + ")::bigint as " + column;
  }

  private static void reportWrong(Statement statement, String name, Faults faults)
      throws SQLException {
    try (ResultSet wrong =
        statement.executeQuery(
            "select line, symbol from bars where not coalesce(" + WHOLE + ", false)")) {
      while (wrong.next()) {
        faults.add(
            new Fault(
                name,
                wrong.getLong(1),
                "",
                "a symbol, a time such as 09:31:00, a volume, and open and close between low and high",
                String.valueOf(wrong.getString(2))));
      }
    }
  }

  /** A minute that comes again counts once: twice its volume would halve every relative volume. */
  private static void keepFirst(Statement statement, String name, Faults faults)
      throws SQLException {
    String later =
        "select line from (select line, row_number() over (partition by symbol, minute order by"
            + " line) as place from bars where "
            + WHOLE
            + ") where place > 1";
    try (ResultSet again =
        statement.executeQuery(
            "select line, symbol, minute from bars where line in (" + later + ") order by line")) {
      while (again.next()) {
        faults.add(
            new Fault(
                name,
                again.getLong(1),
                "time",
                "each minute of a security once",
                again.getString(2) + " " + DayTime.minutes(again.getInt(3) * DayTime.MINUTE)));
      }
    }
    statement.execute("delete from bars where line in (" + later + ")");
  }

  private static SessionMinutes bars(Statement statement, boolean withTrades) throws SQLException {
    List<String> symbols = new ArrayList<>();
    List<Integer> ends = new ArrayList<>();
    try (ResultSet counted =
        statement.executeQuery(
            "select symbol, sum(count(*)) over (order by symbol)::int from bars where "
                + WHOLE
                + " group by symbol order by symbol")) {
      while (counted.next()) {
        symbols.add(counted.getString(1));
        ends.add(counted.getInt(2));
      }
    }
    int rows = ends.isEmpty() ? 0 : ends.getLast();
    short[] minutes = new short[rows];
    long[][] columns = new long[6][rows];
    try (ResultSet bars =
        statement.executeQuery(
            "select minute, volume, trades, open, high, low, close from bars where "
                + WHOLE
                + " order by symbol, minute, line")) {
      for (int row = 0; bars.next(); row++) {
        minutes[row] = bars.getShort(1);
        for (int c = 0; c < columns.length; c++) {
          columns[c][row] = bars.getLong(c + 2);
        }
      }
    }
    MinuteCounts volume =
        new MinuteCounts(
            symbols,
            MemorySegment.ofArray(ends.stream().mapToInt(end -> end).toArray()),
            MemorySegment.ofArray(minutes),
            MemorySegment.ofArray(columns[0]));
    return new SessionMinutes(
        volume,
        withTrades ? of(volume, MemorySegment.ofArray(columns[1])) : null,
        MemorySegment.ofArray(columns[2]),
        MemorySegment.ofArray(columns[3]),
        MemorySegment.ofArray(columns[4]),
        MemorySegment.ofArray(columns[5]));
  }
}
