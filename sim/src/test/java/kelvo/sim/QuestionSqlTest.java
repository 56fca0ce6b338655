package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.PartitionedStore;
import kelvo.data.folder.ResearchData;
import kelvo.data.research.QuestionSql;
import kelvo.data.scanfile.ScanFile;
import kelvo.job.Progress;
import kelvo.research.CaseMoment;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.Question;
import kelvo.research.ResearchCase;
import kelvo.research.UsualSpreads;
import kelvo.research.bars.BarCases;
import kelvo.research.bars.BarSession;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Security;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.trade.Fees;
import kelvo.universe.Universe;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** DuckDB finds the same cases on a partitioned store of the demo as the program on its folder. */
@Tag("proof")
class QuestionSqlTest {
  private static final DemoSize SIZE = new DemoSize(300, 60, 6_000, DemoSize.SESSION).withBars(14);
  private static final double EXACT = 1e-9;
  private static final Fees FEES = new Fees(new BigDecimal("0.004"), new BigDecimal("0.5"));

  private static final String RUNNERS =
      """
      {"kelvo":1,"name":"Runners","rules":["kind is common stock","price at least 1",
       "change % at least 12%","prior-day change % at most 30%"]}
      """;

  /** A rule of nearly every kind that bars can tell. */
  private static final String BUSY =
      """
      {"kelvo":1,"name":"Busy","window":["09:30","15:30"],
       "rules":["kind is common stock","price between 1 and 40","change % at least 2%",
        "volume at least 0.3x avg volume 20d","float at most 40M or unknown",
        "avg dollar volume 10d at least 20K","distance from vwap at least 0%",
        "volume at least 1K opening, 2K morning","range position at least 0.4x"],
       "any":[["gap at least 1%","sector is fog harvesting","day range % at least 3%"]],
       "triggers":["enters scan","new high of day"]}
      """;

  @TempDir static Path folder;
  @TempDir static Path stores;
  private static final List<BarSession> SESSIONS = new ArrayList<>();
  private static ResearchData data;
  private static UsualSpreads spreads;
  private static Path store;

  @BeforeAll
  static void write() {
    ExchangeCalendar calendar = new ExchangeCalendar();
    DemoFolder.write(folder, SIZE, DemoFolder.SEED, Progress.NONE);
    addActions();
    DataFolder read = new DataFolder(folder, calendar);
    data = read.research(LocalDate.MAX);
    spreads = read.usualSpreads(date -> true, Progress.NONE);
    read.barDates().forEach(date -> SESSIONS.add(data.barSession(date)));
    store = stores.resolve("store");
    PartitionedStore written = new PartitionedStore(folder, store, calendar);
    assertThat(written.write(Progress.NONE).faults().sentences()).isEmpty();
  }

  /** Splits and cash dividends of many securities, between the sessions that are asked. */
  private static void addActions() {
    List<LocalDate> dates = new DataFolder(folder, new ExchangeCalendar()).openDates();
    List<String> lines = new ArrayList<>(List.of("symbol,date,kind,ratio,amount"));
    List<Security> securities = new DataFolder(folder, new ExchangeCalendar()).securities();
    for (int i = 0; i < securities.size(); i++) {
      LocalDate date = dates.get(1 + i % (dates.size() - 1));
      String symbol = securities.get(i).symbol();
      if (i % 3 == 0) {
        lines.add(symbol + "," + date + ",split," + (i % 2 == 0 ? "2" : "0.5") + ",");
      } else if (i % 3 == 1) {
        lines.add(symbol + "," + date + ",dividend,,0.12");
      }
    }
    try {
      Files.write(folder.resolve("actions.csv"), lines);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Question question(String scan, CaseMoment moment, Direction direction) {
    Scan parsed = ScanFile.parse("scan", scan, Vocabulary.DEFAULT, List.of());
    return new Question(parsed, moment, direction, new Question.Costs(FEES, 10_000));
  }

  private static List<ResearchCase> byProgram(Question question) {
    List<ResearchCase> cases = new ArrayList<>();
    SESSIONS.forEach(
        session ->
            cases.addAll(BarCases.of(session, question, data.after(session.date()), spreads)));
    return cases;
  }

  /** Each case as it is told: date, symbol, moment, results. */
  private record Told(String what, List<Double> results) {
    boolean isLike(Told other) {
      boolean same = what.equals(other.what);
      for (int i = 0; i < results.size(); i++) {
        double mine = results.get(i);
        double theirs = other.results.get(i);
        same &= Double.isNaN(mine) ? Double.isNaN(theirs) : Math.abs(mine - theirs) < EXACT;
      }
      return same;
    }
  }

  private static List<Told> bySql(Question question) throws SQLException {
    String sql =
        QuestionSql.of(question, Phases.DEFAULT, SESSIONS.stream().map(BarSession::date).toList());
    List<Told> told = new ArrayList<>();
    try (Connection duck = DriverManager.getConnection("jdbc:duckdb:");
        Statement statement = duck.createStatement()) {
      for (String table : PartitionedStore.TABLES) {
        statement.execute(
            "create view "
                + table
                + " as select * from read_parquet('"
                + store.resolve(table)
                + "/**/*.parquet', hive_partitioning = true)");
      }
      try (ResultSet rows = statement.executeQuery(sql)) {
        while (rows.next()) {
          List<Double> results = new ArrayList<>();
          results.add(rows.getDouble("entry"));
          for (Held until : Held.values()) {
            double result = rows.getDouble(QuestionSql.column(until));
            results.add(rows.wasNull() ? Double.NaN : result);
          }
          told.add(
              new Told(
                  rows.getString("date")
                      + " "
                      + rows.getString("symbol")
                      + " "
                      + rows.getInt("at")
                      + " "
                      + rows.getInt("entered"),
                  results));
        }
      }
    }
    return told;
  }

  private static Told told(ResearchCase one) {
    List<Double> results = new ArrayList<>(List.of(one.entry()));
    results.addAll(one.results());
    return new Told(
        one.date()
            + " "
            + one.symbol()
            + " "
            + one.at() / DayTime.MINUTE
            + " "
            + one.enteredAt() / DayTime.MINUTE,
        results);
  }

  private static CaseMoment moment(String words) {
    return switch (words) {
      case "hit" -> new CaseMoment.FirstHit(DayTime.FIRST);
      case "late hit" -> new CaseMoment.FirstHit(DayTime.of(11, 0));
      case "move" -> new CaseMoment.EveryMove(30 * DayTime.MINUTE);
      case "close" -> CaseMoment.At.CLOSE;
      default -> new CaseMoment.AtTime(DayTime.of(10, 30));
    };
  }

  @ParameterizedTest
  @CsvSource({
    "runners, hit, LONG",
    "runners, close, SHORT",
    "busy, hit, LONG",
    "busy, late hit, SHORT",
    "busy, move, LONG",
    "busy, half past ten, LONG"
  })
  void anotherEngineFindsTheSameCasesWithTheSameResults(
      String scan, String moment, Direction direction) throws SQLException {
    Question question = question(scan.equals("busy") ? BUSY : RUNNERS, moment(moment), direction);

    assertThat(byProgram(question)).hasSizeGreaterThan(10);
    assertSame(question);
  }

  @Test
  void theUsualSpreadIsPaidWhereItIsKnown() {
    assertThat(spreads.rows()).isNotEmpty();
    assertThat(byProgram(question(RUNNERS, moment("hit"), Direction.LONG)))
        .anyMatch(
            one ->
                spreads.assumed(one.symbol(), one.enteredAt(), Price.of(one.entry()))
                    > Price.tick(Price.of(one.entry())));
  }

  @Test
  void aUniverseWithSymbolsByHandIsAskedAlike() throws SQLException {
    Question everyone = question(RUNNERS, moment("hit"), Direction.LONG);
    List<String> symbols =
        byProgram(everyone).stream().map(ResearchCase::symbol).distinct().toList();
    Universe universe =
        new Universe(
            "few",
            List.of(RuleSentence.parse("previous close at most 8", Vocabulary.DEFAULT)),
            Set.of(symbols.get(0)),
            Set.of(symbols.get(1)),
            null);
    Question within =
        new Question(
            everyone.scan().within(universe), everyone.moment(), Direction.LONG, everyone.costs());

    assertThat(byProgram(within)).hasSizeBetween(1, byProgram(everyone).size() - 1);
    assertThat(byProgram(within)).noneMatch(one -> one.symbol().equals(symbols.get(1)));
    assertSame(within);
  }

  private static void assertSame(Question question) throws SQLException {
    List<Told> mine = byProgram(question).stream().map(QuestionSqlTest::told).toList();
    List<Told> theirs = bySql(question);

    assertThat(theirs.stream().map(Told::what).toList())
        .containsExactlyElementsOf(mine.stream().map(Told::what).toList());
    for (int i = 0; i < mine.size(); i++) {
      assertThat(mine.get(i).isLike(theirs.get(i)))
          .as("%s and %s", mine.get(i), theirs.get(i))
          .isTrue();
    }
  }

  @Test
  void whatBarsTellSqlTellsToo() {
    for (String field : BarCases.fieldsOfBars()) {
      Question question =
          question(
              "{\"kelvo\":1,\"name\":\"Any\",\"rules\":[\"" + field + " at least 1\"]}",
              new CaseMoment.FirstHit(DayTime.FIRST),
              Direction.LONG);
      assertThat(QuestionSql.untold(question)).as(field).isEmpty();
    }
  }

  @Test
  void whatSqlCannotTellIsRefusedByItsRule() {
    Question question =
        question(
            "{\"kelvo\":1,\"name\":\"Any\",\"rules\":[\"news category is earnings\"]}",
            new CaseMoment.FirstHit(DayTime.FIRST),
            Direction.LONG);

    assertThatThrownBy(() -> bySql(question))
        .hasMessage("SQL cannot ask the rule \"news category is earnings\"");
  }
}
