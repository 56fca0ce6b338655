package kelvo.data.folder;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleBiFunction;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.session.ReferenceLevel;
import kelvo.tape.Price;
import kelvo.time.TradingCalendar;

/**
 * The VWAP of regular hours of the newest earlier sessions with minute bars, as levels. A minute's
 * price is the mean of its high, low and close, since bars carry no VWAP of their own.
 */
final class EarlierVwapFiles {
  private static final int SESSIONS = 3;
  private static final String OPEN = "09:30";
  private static final String CLOSE = "16:00";
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("MM-dd");

  private final Path root;
  private final TradingCalendar calendar;
  private final Map<String, Integer> numbers;
  private final Faults faults;

  EarlierVwapFiles(
      Path root, TradingCalendar calendar, Map<String, Integer> numbers, Faults faults) {
    this.root = root;
    this.calendar = calendar;
    this.numbers = numbers;
    this.faults = faults;
  }

  /**
   * The levels of a session, by the number of the security, the newest day first.
   *
   * @param ratio by how many a share of a symbol at a date has become until the session
   */
  Map<Integer, List<ReferenceLevel>> before(
      LocalDate session, ToDoubleBiFunction<String, LocalDate> ratio) {
    Map<LocalDate, Path> files =
        EarlierFiles.before(
            session, calendar, date -> root.resolve("minutes").resolve(date.toString()), SESSIONS);
    Map<Integer, List<ReferenceLevel>> levels = new HashMap<>();
    if (files.isEmpty()) {
      return levels;
    }
    try (Connection duck = DuckDb.open()) {
      for (Map.Entry<LocalDate, Path> day : files.entrySet()) {
        add(duck, day.getKey(), day.getValue(), ratio, levels);
      }
    } catch (SQLException e) {
      faults.add(
          new Fault("minutes", 0, "", "a database in memory", String.valueOf(e.getMessage())));
    }
    return levels;
  }

  private void add(
      Connection duck,
      LocalDate day,
      Path file,
      ToDoubleBiFunction<String, LocalDate> ratio,
      Map<Integer, List<ReferenceLevel>> levels) {
    String prices =
        "try_cast(high as double) + try_cast(low as double) + try_cast(close as double)";
    String rows =
        "(select row_number() over () as number, symbol, substr(cast(time as varchar), 1, 5) as clock, "
            + prices
            + " as prices, try_cast(volume as double) as volume from "
            + DuckDb.table(file)
            + ")";
    String sql =
        "select symbol, sum(prices / 3 * volume) / sum(volume) from "
            + rows
            + " where clock >= '"
            + OPEN
            + "' and clock < '"
            + CLOSE
            + "' and prices > 0 and volume > 0 group by symbol";
    try (Statement statement = duck.createStatement()) {
      reportWrong(statement, rows, root.relativize(file).toString());
      ResultSet vwaps = statement.executeQuery(sql);
      while (vwaps.next()) {
        String symbol = vwaps.getString(1);
        Integer number = numbers.get(symbol);
        if (number != null) {
          long price = Price.of(vwaps.getDouble(2) / ratio.applyAsDouble(symbol, day));
          levels
              .computeIfAbsent(number, n -> new ArrayList<>())
              .add(new ReferenceLevel(price, "VWAP of " + DAY.format(day)));
        }
      }
    } catch (SQLException e) {
      faults.add(
          new Fault(
              root.relativize(file).toString(),
              0,
              "",
              "a table with symbol, time, high, low, close and volume",
              String.valueOf(e.getMessage()).lines().findFirst().orElse("")));
    }
  }

  private void reportWrong(Statement statement, String rows, String name) throws SQLException {
    try (ResultSet wrong =
        statement.executeQuery(
            "select number + 1, symbol from "
                + rows
                + " where prices is null or prices <= 0 or volume is null")) {
      while (wrong.next()) {
        faults.add(
            new Fault(
                name,
                wrong.getLong(1),
                "",
                "a high, a low and a close above 0 and a volume",
                String.valueOf(wrong.getString(2))));
      }
    }
  }
}
