package kelvo.data.folder;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.Collectors;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.history.EarlierMinutes;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.TradingCalendar;

/** Reads the evening before a session, and the prices at earlier news, from minute bars. */
final class EarlierMinuteFiles {
  private final Path root;
  private final TradingCalendar calendar;
  private final Map<String, Integer> numbers;
  private final Faults faults;
  private final Map<Integer, EarlierMinutes.Evening> evenings = new HashMap<>();
  private final Map<Integer, NavigableMap<Long, Long>> closes = new HashMap<>();

  EarlierMinuteFiles(
      Path root, TradingCalendar calendar, Map<String, Integer> numbers, Faults faults) {
    this.root = root;
    this.calendar = calendar;
    this.numbers = numbers;
    this.faults = faults;
  }

  /**
   * What is known before a session.
   *
   * @param named the symbols that news of earlier days names, by the day
   * @param ratio by how many a share of a symbol at a date has become until the session
   */
  EarlierMinutes before(
      LocalDate session,
      Map<LocalDate, Set<String>> named,
      ToDoubleBiFunction<String, LocalDate> ratio) {
    LocalDate last = calendar.before(session);
    Optional<Path> evening = file(last);
    if (evening.isEmpty() && named.isEmpty()) {
      return EarlierMinutes.NONE;
    }
    try (Connection duck = DuckDb.open()) {
      if (evening.isPresent()) {
        readEvening(duck, last, evening.get(), ratio);
      }
      for (Map.Entry<LocalDate, Set<String>> day : named.entrySet()) {
        Optional<Path> file = file(day.getKey());
        if (file.isPresent()) {
          readCloses(duck, session, day.getKey(), file.get(), day.getValue(), ratio);
        }
      }
    } catch (SQLException e) {
      faults.add(
          new Fault(
              "minutes",
              0,
              "",
              "tables with symbol, time, close and volume",
              String.valueOf(e.getMessage()).lines().findFirst().orElse("")));
    }
    return new EarlierMinutes(evenings, closes);
  }

  private Optional<Path> file(LocalDate date) {
    return EarlierFiles.of(root.resolve("minutes").resolve(date.toString()));
  }

  private void readEvening(
      Connection duck, LocalDate day, Path file, ToDoubleBiFunction<String, LocalDate> ratio)
      throws SQLException {
    String bell = DayTime.minutes(calendar.hours(day).close());
    String sql =
        "select symbol, sum(try_cast(volume as double)), arg_max(try_cast(close as double), "
            + "substr(cast(time as varchar), 1, 5)) from "
            + DuckDb.table(file)
            + " where substr(cast(time as varchar), 1, 5) >= '"
            + bell
            + "' group by symbol";
    Map<Integer, EarlierMinutes.Evening> traded = new HashMap<>();
    try (Statement statement = duck.createStatement();
        ResultSet rows = statement.executeQuery(sql)) {
      while (rows.next()) {
        Integer number = numbers.get(rows.getString(1));
        if (number != null && rows.getDouble(3) > 0) {
          double split = ratio.applyAsDouble(rows.getString(1), day);
          traded.put(
              number,
              new EarlierMinutes.Evening(
                  rows.getDouble(2) * split, Price.of(rows.getDouble(3) / split)));
        }
      }
    }
    if (!traded.isEmpty()) {
      numbers.values().forEach(n -> evenings.put(n, new EarlierMinutes.Evening(0, Price.NONE)));
      evenings.putAll(traded);
    }
  }

  private void readCloses(
      Connection duck,
      LocalDate session,
      LocalDate day,
      Path file,
      Set<String> symbols,
      ToDoubleBiFunction<String, LocalDate> ratio)
      throws SQLException {
    long midnight = -ChronoUnit.DAYS.between(day, session) * DayTime.DAY;
    String sql =
        "select symbol, try_cast(substr(cast(time as varchar), 1, 2) as int) * 60"
            + " + try_cast(substr(cast(time as varchar), 4, 2) as int), try_cast(close as double) from "
            + DuckDb.table(file)
            + " where symbol in ("
            + symbols.stream().map(DuckDb::quoted).collect(Collectors.joining(", "))
            + ")";
    try (Statement statement = duck.createStatement();
        ResultSet rows = statement.executeQuery(sql)) {
      while (rows.next()) {
        Integer number = numbers.get(rows.getString(1));
        if (number != null && rows.getDouble(3) > 0) {
          double split = ratio.applyAsDouble(rows.getString(1), day);
          closes
              .computeIfAbsent(number, n -> new TreeMap<>())
              .put(
                  midnight + (rows.getInt(2) + 1) * DayTime.MINUTE,
                  Price.of(rows.getDouble(3) / split));
        }
      }
    }
  }
}
