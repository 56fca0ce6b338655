package kelvo.data.folder;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.ToDoubleBiFunction;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.history.UsualDay;
import kelvo.time.DayTime;
import kelvo.time.TradingCalendar;
import org.jspecify.annotations.Nullable;

/**
 * What earlier sessions counted, added up by security and minute of the day: the volume of their
 * minute bars, {@code minutes/DATE}, and the mentions of {@code sessions/DATE}. They are many, so
 * that DuckDB adds them up where they lie.
 */
final class UsualDayFiles {
  private static final int MINUTES = (int) ((DayTime.LAST - DayTime.FIRST) / DayTime.MINUTE);

  /**
   * What a security's counts of an earlier day are multiplied by, and which of them count.
   *
   * @param since the first day of the security by its number; null when that is not known
   * @param ratio by symbol and day, today's shares per share of that day
   */
  record Adjustment(
      IntFunction<@Nullable LocalDate> since, ToDoubleBiFunction<String, LocalDate> ratio) {}

  private final Path root;
  private final TradingCalendar calendar;
  private final Map<String, Integer> numbers;
  private final Faults faults;

  UsualDayFiles(Path root, TradingCalendar calendar, Map<String, Integer> numbers, Faults faults) {
    this.root = root;
    this.calendar = calendar;
    this.numbers = numbers;
    this.faults = faults;
  }

  /** How much of two things was usual. */
  record Activity(UsualDay volume, UsualDay trades) {}

  /**
   * The volume and the prints that were usual before a session: of its last 20 full sessions that
   * have a file. How many prints there are has nothing to do with splits.
   */
  Activity activityBefore(LocalDate session, Adjustment adjustment) {
    List<UsualDay> usual =
        before(
            session,
            date -> root.resolve("minutes").resolve(date.toString()),
            List.of("volume", "trades"),
            adjustment);
    return new Activity(usual.get(0), usual.get(1));
  }

  /** The mentions that were usual before a session, likewise; people do not split. */
  UsualDay mentionsBefore(LocalDate session, Adjustment adjustment) {
    return before(
            session,
            date -> root.resolve("sessions").resolve(date.toString()).resolve("mentions"),
            List.of("count"),
            new Adjustment(adjustment.since, (symbol, date) -> 1))
        .getFirst();
  }

  /**
   * By column, what was usual. The first column must be there and is in shares; of a further one
   * nothing is known unless every file has it.
   */
  private List<UsualDay> before(
      LocalDate session,
      Function<LocalDate, Path> place,
      List<String> columns,
      Adjustment adjustment) {
    SequencedMap<LocalDate, Path> files =
        EarlierFiles.before(session, calendar, place, UsualDay.SESSIONS);
    List<UsualDay> unknown = Collections.nCopies(columns.size(), UsualDay.NONE);
    if (files.size() < UsualDay.MIN_SESSIONS) {
      return unknown;
    }
    double[][][] sums = new double[columns.size()][numbers.size()][];
    Set<String> missing = new HashSet<>();
    try (Connection duck = DuckDb.open()) {
      try (Statement statement = duck.createStatement()) {
        statement.execute(
            "create table counts (symbol varchar, minute integer, first double, second double)");
        statement.execute("create table factors (symbol varchar, factor double)");
      }
      for (Map.Entry<LocalDate, Path> file : files.entrySet()) {
        setFactors(duck, file.getKey(), adjustment);
        add(duck, file.getValue(), columns, missing);
      }
      take(duck, sums);
    } catch (SQLException e) {
      faults.add(
          new Fault(
              "minutes", 0, "", "a database in memory", String.valueOf(e.getMessage()).strip()));
      return unknown;
    }
    List<UsualDay> usual = new ArrayList<>();
    for (int c = 0; c < sums.length; c++) {
      double[][] own = sums[c];
      usual.add(
          missing.contains(columns.get(c))
              ? UsualDay.NONE
              : UsualDay.of(
                  own.length, i -> sessionsSince(adjustment.since.apply(i), files), i -> own[i]));
    }
    return usual;
  }

  private static int sessionsSince(@Nullable LocalDate first, SequencedMap<LocalDate, Path> files) {
    return first == null
        ? files.size()
        : (int) files.keySet().stream().filter(date -> !date.isBefore(first)).count();
  }

  /** Notes the few securities whose counts of a day are not taken as they are. */
  private void setFactors(Connection duck, LocalDate date, Adjustment adjustment)
      throws SQLException {
    try (Statement statement = duck.createStatement();
        PreparedStatement insert = duck.prepareStatement("insert into factors values (?, ?)")) {
      statement.execute("delete from factors");
      for (Map.Entry<String, Integer> entry : numbers.entrySet()) {
        LocalDate first = adjustment.since.apply(entry.getValue());
        double factor =
            first != null && date.isBefore(first)
                ? 0
                : adjustment.ratio.applyAsDouble(entry.getKey(), date);
        if (factor != 1) {
          insert.setString(1, entry.getKey());
          insert.setDouble(2, factor);
          insert.execute();
        }
      }
    }
  }

  /**
   * Adds a file's minutes to the counts; the database sums them up, since taking rows out of it is
   * expensive.
   */
  private void add(Connection duck, Path file, List<String> columns, Set<String> missing) {
    String name = root.relativize(file).toString();
    String first = columns.getFirst();
    try (Statement statement = duck.createStatement()) {
      String table = DuckDb.table(file);
      String second = columns.size() > 1 ? columns.get(1) : "";
      if (!second.isEmpty() && !has(statement, table, second)) {
        missing.add(second);
        second = "";
      }
      String rows =
          "select symbol, try_cast(substr(cast(time as varchar), 1, 2) as int) * 60"
              + " + try_cast(substr(cast(time as varchar), 4, 2) as int) as minute, try_cast("
              + first
              + " as bigint) as counted, "
              + (second.isEmpty() ? "0" : "try_cast(" + second + " as bigint)")
              + " as further from "
              + table;
      statement.execute(
          "insert into counts select day.symbol, minute,"
              + " sum(counted) * any_value(coalesce(factor, 1)),"
              + " sum(further) * any_value(if(factor = 0, 0, 1))"
              + " from ("
              + rows
              + ") day left join factors using (symbol)"
              + " where counted >= 0 and minute is not null group by day.symbol, minute");
      reportWrong(statement, rows, name, first);
    } catch (SQLException e) {
      faults.add(
          new Fault(
              name,
              0,
              "",
              "a table with symbol, time and " + first,
              String.valueOf(e.getMessage()).lines().findFirst().orElse("")));
    }
  }

  private static boolean has(Statement statement, String table, String column) throws SQLException {
    try (ResultSet none = statement.executeQuery("select * from " + table + " limit 0")) {
      for (int c = 1; c <= none.getMetaData().getColumnCount(); c++) {
        if (none.getMetaData().getColumnName(c).equals(column)) {
          return true;
        }
      }
      return false;
    }
  }

  private void take(Connection duck, double[][][] sums) throws SQLException {
    try (Statement statement = duck.createStatement();
        ResultSet sum =
            statement.executeQuery(
                "select symbol, minute, sum(first), sum(second) from counts group by symbol, minute")) {
      while (sum.next()) {
        for (int c = 0; c < sums.length; c++) {
          take(sum.getString(1), sum.getInt(2), sum.getDouble(3 + c), sums[c]);
        }
      }
    }
  }

  private void reportWrong(Statement statement, String rows, String name, String column)
      throws SQLException {
    try (ResultSet wrong =
        statement.executeQuery(
            "select number + 1, symbol from (select row_number() over () as number, * from ("
                + rows
                + ")) where counted is null or counted < 0 or minute is null or symbol is null")) {
      while (wrong.next()) {
        faults.add(
            new Fault(
                name,
                wrong.getLong(1),
                "",
                "a symbol, a time such as 09:31:00 and a " + column,
                String.valueOf(wrong.getString(2))));
      }
    }
  }

  private void take(String symbol, int minuteOfDay, double counted, double[][] sums) {
    Integer number = numbers.get(symbol);
    int minute = minuteOfDay - (int) (DayTime.FIRST / DayTime.MINUTE);
    if (number != null && minute >= 0 && minute < MINUTES) {
      if (sums[number] == null) {
        sums[number] = new double[MINUTES];
      }
      sums[number][minute] += counted;
    }
  }
}
