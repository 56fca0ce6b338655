package kelvo.data.folder;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kelvo.market.VolumeHistory;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;

/**
 * The minute bars of earlier sessions, {@code minutes/DATE}, added up by security and minute of the
 * day. They are many, so that DuckDB adds them up where they lie.
 */
final class MinuteFiles {
  private static final int MINUTES = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);
  private static final int MOST_DAYS_BACK = 60;

  private final Path root;
  private final TradingCalendar calendar;
  private final Map<String, Integer> numbers;
  private final Faults faults;

  MinuteFiles(Path root, TradingCalendar calendar, Map<String, Integer> numbers, Faults faults) {
    this.root = root;
    this.calendar = calendar;
    this.numbers = numbers;
    this.faults = faults;
  }

  /** What was usual before a session: of its last 20 full sessions that have a file. */
  VolumeHistory before(LocalDate session) {
    List<Path> files = files(session);
    if (files.size() < VolumeHistory.LEAST_SESSIONS) {
      return VolumeHistory.NONE;
    }
    long[][] sums = new long[numbers.size()][];
    try (Connection duck = DuckDb.open()) {
      for (Path file : files) {
        add(duck, file, sums);
      }
    } catch (SQLException e) {
      faults.add(
          new Fault(
              "minutes", 0, "", "a database in memory", String.valueOf(e.getMessage()).strip()));
      return VolumeHistory.NONE;
    }
    return VolumeHistory.of(sums.length, files.size(), i -> sums[i]);
  }

  private List<Path> files(LocalDate session) {
    List<Path> files = new ArrayList<>();
    LocalDate date = session.minusDays(1);
    for (int day = 0; day < MOST_DAYS_BACK && files.size() < VolumeHistory.SESSIONS; day++) {
      if (calendar.hours(date).kind() == SessionHours.Kind.FULL) {
        for (String ending : TableFile.ENDINGS) {
          Path file = root.resolve("minutes").resolve(date + ending);
          if (Files.isRegularFile(file)) {
            files.add(file);
            break;
          }
        }
      }
      date = date.minusDays(1);
    }
    return files;
  }

  private void add(Connection duck, Path file, long[][] sums) {
    String name = "minutes/" + file.getFileName();
    try (Statement statement = duck.createStatement()) {
      String table = source(file);
      String rows =
          "select symbol, try_cast(substr(cast(time as varchar), 1, 2) as int) * 60"
              + " + try_cast(substr(cast(time as varchar), 4, 2) as int) as minute,"
              + " try_cast(volume as bigint) as volume from "
              + table;
      try (ResultSet sum =
          statement.executeQuery(
              "select symbol, minute, sum(volume) from ("
                  + rows
                  + ") where volume >= 0 and minute is not null group by symbol, minute")) {
        while (sum.next()) {
          take(sum.getString(1), sum.getInt(2), sum.getLong(3), sums);
        }
      }
      reportWrong(statement, rows, name);
    } catch (SQLException e) {
      faults.add(
          new Fault(
              name,
              0,
              "",
              "a table with symbol, time and volume",
              String.valueOf(e.getMessage()).lines().findFirst().orElse("")));
    }
  }

  private static String source(Path file) {
    String quoted = DuckDb.quoted(file.toString());
    return file.toString().endsWith(".parquet")
        ? "read_parquet(" + quoted + ")"
        : "read_csv(" + quoted + ", header = true, all_varchar = true, null_padding = true)";
  }

  private void reportWrong(Statement statement, String rows, String name) throws SQLException {
    try (ResultSet wrong =
        statement.executeQuery(
            "select number + 1, symbol from (select row_number() over () as number, * from ("
                + rows
                + ")) where volume is null or volume < 0 or minute is null or symbol is null")) {
      while (wrong.next()) {
        faults.add(
            new Fault(
                name,
                wrong.getLong(1),
                "",
                "a symbol, a time such as 09:31:00 and a volume",
                String.valueOf(wrong.getString(2))));
      }
    }
  }

  private void take(String symbol, int minuteOfDay, long volume, long[][] sums) {
    Integer number = numbers.get(symbol);
    int minute = minuteOfDay - (int) (DayTime.FIRST / DayTime.MINUTE);
    if (number != null && minute >= 0 && minute < MINUTES) {
      if (sums[number] == null) {
        sums[number] = new long[MINUTES];
      }
      sums[number][minute] += volume;
    }
  }
}
