package kelvo.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.concurrent.TimeUnit;
import kelvo.field.Field;
import kelvo.field.FieldCatalogue;
import kelvo.hit.Program;
import kelvo.hit.ScanBoard;
import kelvo.hit.ScanEngine;
import kelvo.replay.TapeReplay;
import kelvo.rule.Bound;
import kelvo.rule.Rule;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import org.duckdb.DuckDBAppender;
import org.duckdb.DuckDBConnection;
import org.openjdk.jmh.annotations.AuxCounters;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** Other engines at a part of the same work. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx3g", "-XX:+UseParallelGC", "-XX:+UseCompactObjectHeaders"})
@Warmup(iterations = 3)
@Measurement(iterations = 5)
public class PeerBenchmark {
  static final int FILTER_PRINTS = 150_000;
  static final int CONTEXT_PRINTS = 30_000;

  /** How often a round sweeps; the last one counts. */
  private static final int SWEEPS = 6;

  /** Every scan's bit. */
  private static final long ALL = -1L;

  /** Where the scans' bounds lie. */
  @Param({"DENSE", "TAILS"})
  public String bounds;

  private Session session;
  private List<Scan> scans;
  private TapeReplay halfway;
  private ScanBoard board;
  private List<Field.Number> fields;
  private Field.Reading[] readings;
  private DuckDBConnection duck;
  private EsperPeer filters;
  private EsperPeer contexts;

  private TapeReplay fifty;
  private long rows;
  private int hits;

  /** What one round took, and what that makes of it. */
  @State(Scope.Thread)
  @AuxCounters(AuxCounters.Type.EVENTS)
  public static class Round {
    /** All scans with their edges and all fields of each hit, microseconds a print. */
    public double fiftyUs;

    /** One set of sums by symbol and 50 filters on it; ten fields, no edges. */
    public double filtersUs;

    /** 50 statements with sums of their own by symbol. */
    public double contextsUs;

    /** Kelvo's rate over that of one set of sums. */
    public double overFilters;

    /** Kelvo's rate over that of 50 sets of sums. */
    public double overContexts;

    /** All 50 scans over all securities at one moment, ms. */
    public double sweepMs;

    /** The same from a database: the table is filled again, then 50 queries, ms. */
    public double duckMs;

    /** How many sweeps fit into the database's time. */
    public double overDuck;
  }

  /** Makes the market, plays half of it and opens the peers. */
  @Setup
  public void make() throws SQLException {
    session = BenchMarket.ofRegularHours(ScanBenchmark.SECURITIES, ScanBenchmark.PRINTS);
    scans =
        BenchScans.of(
            session, BenchScans.Bounds.valueOf(bounds), ScanBenchmark.SCANS, ScanBenchmark.RULES);
    halfway = new TapeReplay(session);
    halfway.runTo(DayTime.of(12, 30));
    board = new ScanBoard(scans, session);
    board.openAt(halfway.clock());
    fields =
        scans.stream()
            .flatMap(scan -> scan.rules().stream())
            .map(rule -> FieldCatalogue.number(rule.field().words()))
            .distinct()
            .toList();
    readings = fields.stream().map(f -> f.bind(session)).toArray(Field.Reading[]::new);
    Connection connection = DriverManager.getConnection("jdbc:duckdb:");
    duck = connection.unwrap(DuckDBConnection.class);
  }

  /** Opens that engine again, so that its sums begin at zero. */
  @Setup(Level.Invocation)
  public void open() {
    fifty = ScanEngine.replay(session, new Program(scans, List.of()), hit -> hits++);
    filters = new EsperPeer(session, scans, false);
    contexts = new EsperPeer(session, scans, true);
  }

  /** Ends it. */
  @TearDown(Level.Invocation)
  public void shut() {
    filters.close();
    contexts.close();
  }

  /** One of each, so that all run under the same conditions. */
  @Benchmark
  public long round(Round round) throws SQLException {
    double own = Timed.ms(() -> fifty.runTo(DayTime.LAST)) / ScanBenchmark.PRINTS;
    round.filtersUs =
        1000 * Timed.ms(() -> rows += filters.run(session, FILTER_PRINTS)) / FILTER_PRINTS;
    round.contextsUs =
        1000 * Timed.ms(() -> rows += contexts.run(session, CONTEXT_PRINTS)) / CONTEXT_PRINTS;
    round.fiftyUs = 1000 * own;
    round.overFilters = round.filtersUs / round.fiftyUs;
    round.overContexts = round.contextsUs / round.fiftyUs;
    int found = 0;
    for (int i = 0; i < SWEEPS; i++) {
      long start = System.nanoTime();
      found += sweep();
      double sweepMs = (System.nanoTime() - start) / 1e6;
      start = System.nanoTime();
      found += duckSnapshot();
      double duckMs = (System.nanoTime() - start) / 1e6;
      round.sweepMs = sweepMs;
      round.duckMs = duckMs;
      round.overDuck = duckMs / sweepMs;
    }
    return rows + hits + found;
  }

  /** All 50 scans over all securities at one moment. */
  private int sweep() {
    int fitting = 0;
    int phase = halfway.phase();
    for (int i = 0; i < ScanBenchmark.SECURITIES; i++) {
      fitting += Long.bitCount(board.fitting(halfway.state(i), ALL, halfway.clock(), phase));
    }
    return fitting;
  }

  /** The same from a database: the table is filled again, then 50 queries. */
  private int duckSnapshot() throws SQLException {
    try (Statement statement = duck.createStatement()) {
      StringBuilder columns = new StringBuilder();
      for (int f = 0; f < fields.size(); f++) {
        columns.append(f == 0 ? "" : ", ").append('f').append(f).append(" double");
      }
      statement.execute("create or replace table now (" + columns + ")");
      fill();
      int fitting = 0;
      for (Scan scan : scans) {
        try (ResultSet found = statement.executeQuery(query(scan))) {
          found.next();
          fitting += found.getInt(1);
        }
      }
      return fitting;
    }
  }

  private void fill() throws SQLException {
    try (DuckDBAppender appender = duck.createAppender(DuckDBConnection.DEFAULT_SCHEMA, "now")) {
      for (int i = 0; i < ScanBenchmark.SECURITIES; i++) {
        appender.beginRow();
        for (Field.Reading reading : readings) {
          appender.append(reading.at(halfway.state(i), halfway.clock()));
        }
        appender.endRow();
      }
    }
  }

  private String query(Scan scan) {
    StringBuilder text = new StringBuilder("select count(*) from now where true");
    for (Rule rule : scan.rules()) {
      int field = fields.indexOf(FieldCatalogue.number(rule.field().words()));
      Bound.Amount bound = (Bound.Amount) rule.steps().getFirst().bound();
      text.append(" and f").append(field).append(" >= ").append(bound.value());
      text.append(" and not isnan(f").append(field).append(')');
    }
    return text.toString();
  }
}
