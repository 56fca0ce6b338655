package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.PartitionedStore;
import kelvo.data.folder.ResearchData;
import kelvo.data.research.QuestionSql;
import kelvo.data.scanfile.ScanFile;
import kelvo.job.Progress;
import kelvo.job.SideBySide;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.research.UsualSpreads;
import kelvo.research.bars.BarCases;
import kelvo.research.bars.BarSession;
import kelvo.rule.Vocabulary;
import kelvo.sim.DemoFolder;
import kelvo.sim.DemoHistory;
import kelvo.sim.DemoSize;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.trade.Fees;

/**
 * A question of six rules with all its results over 250 sessions of minute bars of 8,000
 * securities, beside the same question as SQL that DuckDB answers from the Parquet; the answers are
 * compared case by case.
 */
final class ResearchTimes {
  private static final DemoSize SIZE =
      new DemoSize(8_000, 330, 2_500_000, DemoSize.SESSION).withBars(250);
  private static final int ROUNDS = 5;
  private static final double EXACT = 1e-9;
  private static final String SCAN =
      """
      {"kelvo":1,"name":"Small risers","rules":["kind is common stock","price between 2 and 20",
       "float at most 20M","change % at least 8%","volume at least 100K",
       "distance from vwap at least 0%"]}
      """;

  private ResearchTimes() {}

  /** Writes the market under a folder unless it is there, measures and prints. */
  static void print(Path root) throws IOException, SQLException {
    Path market = root.resolve("research-market");
    Path store = root.resolve("research-store");
    ExchangeCalendar calendar = new ExchangeCalendar();
    if (!Files.exists(market.resolve("fills.csv"))) {
      DemoFolder.writeDay(market, SIZE, DemoFolder.SEED, Progress.NONE);
    }
    DemoHistory.write(market, SIZE, DemoFolder.SEED, calendar, Progress.NONE);
    if (!Files.exists(store)) {
      new PartitionedStore(market, store, calendar).write(Progress.NONE);
    }
    DataFolder folder = new DataFolder(market, calendar);
    List<LocalDate> dates = folder.barDates();
    Question question =
        new Question(
            ScanFile.parse("scan", SCAN, Vocabulary.DEFAULT, List.of()),
            new CaseMoment.FirstHit(DayTime.FIRST),
            Direction.LONG,
            new Question.Costs(Fees.NONE, Question.Costs.USUAL_POSITION));

    long begin = System.nanoTime();
    ResearchData data = folder.research(LocalDate.MAX);
    UsualSpreads spreads = folder.usualSpreads(date -> true, Progress.NONE);
    Map<LocalDate, BarSession> sessions = sessions(data, dates);
    say("columns found or made in %.1f s", since(begin));
    begin = System.nanoTime();
    cases(data, spreads, sessions, question);
    say("asked for the first time, with what was known before each session: %.1f s", since(begin));

    double[] mine = new double[ROUNDS];
    List<ResearchCase> cases = List.of();
    for (int round = 0; round < ROUNDS; round++) {
      begin = System.nanoTime();
      cases = cases(data, spreads, sessions, question);
      mine[round] = since(begin);
    }
    LocalDate newest = dates.getLast();
    begin = System.nanoTime();
    BarSession added = data.barSession(newest);
    if (added != null) {
      BarCases.of(added, question, data.after(newest), spreads);
    }
    double one = since(begin);

    String sql = QuestionSql.of(question, Phases.DEFAULT, dates);
    double[] theirs = new double[ROUNDS];
    Map<String, double[]> bySql = Map.of();
    try (Connection duck = DriverManager.getConnection("jdbc:duckdb:");
        Statement statement = duck.createStatement()) {
      for (String table : PartitionedStore.TABLES) {
        statement.execute(
            "create view %s as select * from read_parquet('%s/**/*.parquet', hive_partitioning = true)"
                .formatted(table, store.resolve(table)));
      }
      for (int round = 0; round < ROUNDS; round++) {
        begin = System.nanoTime();
        bySql = rows(statement, sql);
        theirs[round] = since(begin);
      }
    }
    Arrays.sort(mine);
    Arrays.sort(theirs);
    say(
        "%,d sessions, %,d cases: %.0f ms (%.0f to %.0f); DuckDB %.1f s (%.1f to %.1f): %.0fx",
        dates.size(),
        cases.size(),
        1e3 * mine[ROUNDS / 2],
        1e3 * mine[0],
        1e3 * mine[ROUNDS - 1],
        theirs[ROUNDS / 2],
        theirs[0],
        theirs[ROUNDS - 1],
        theirs[ROUNDS / 2] / mine[ROUNDS / 2]);
    say("a session added to them: %.0f ms", 1e3 * one);
    say("%d cases that are not the same", different(cases, bySql));
  }

  private static Map<LocalDate, BarSession> sessions(ResearchData data, List<LocalDate> dates) {
    Map<LocalDate, BarSession> sessions = new TreeMap<>();
    List<BarSession> read =
        SideBySide.each(
            dates,
            (date, going) -> {
              BarSession session = data.barSession(date);
              if (session == null) {
                throw new IllegalStateException("no minutes of " + date);
              }
              return session;
            },
            session -> {},
            Progress.NONE);
    read.forEach(session -> sessions.put(session.date(), session));
    return sessions;
  }

  private static List<ResearchCase> cases(
      ResearchData data,
      UsualSpreads spreads,
      Map<LocalDate, BarSession> sessions,
      Question question) {
    return SideBySide.each(
            List.copyOf(sessions.values()),
            (session, going) -> BarCases.of(session, question, data.after(session.date()), spreads),
            some -> {},
            Progress.NONE)
        .stream()
        .flatMap(List::stream)
        .toList();
  }

  private static Map<String, double[]> rows(Statement statement, String sql) throws SQLException {
    Map<String, double[]> found = new HashMap<>();
    try (ResultSet rows = statement.executeQuery(sql)) {
      while (rows.next()) {
        double[] results = new double[Held.values().length];
        for (Held until : Held.values()) {
          double result = rows.getDouble(QuestionSql.column(until));
          results[until.ordinal()] = rows.wasNull() ? Double.NaN : result;
        }
        found.put(rows.getString("date") + rows.getString("symbol") + rows.getInt("at"), results);
      }
    }
    return found;
  }

  private static int different(List<ResearchCase> cases, Map<String, double[]> bySql) {
    Map<String, double[]> left = new HashMap<>(bySql);
    List<String> different = new ArrayList<>();
    for (ResearchCase one : cases) {
      String key = one.date() + one.symbol() + one.at() / DayTime.MINUTE;
      double[] theirs = left.remove(key);
      boolean same = theirs != null;
      for (Held until : Held.values()) {
        double mine = one.result(until);
        double other = theirs == null ? Double.NaN : theirs[until.ordinal()];
        same &= Double.isNaN(mine) ? Double.isNaN(other) : Math.abs(mine - other) < EXACT;
      }
      if (!same) {
        different.add(key);
      }
    }
    different.addAll(left.keySet());
    return different.size();
  }

  private static double since(long begin) {
    return (System.nanoTime() - begin) / 1e9;
  }

  private static void say(String text, Object... values) {
    System.out.printf(Locale.ROOT, text + "%n", values);
  }
}
