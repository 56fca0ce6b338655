package kelvo.sim;

import com.github.luben.zstd.ZstdOutputStream;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.stream.Stream;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertSentence;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.scanfile.ScanFile;
import kelvo.data.scanfile.ScanFolder;
import kelvo.history.DailyBar;
import kelvo.job.Progress;
import kelvo.job.SideBySide;
import kelvo.rule.Rule;
import kelvo.rule.RuleSentence;
import kelvo.rule.Vocabulary;
import kelvo.tape.Price;
import kelvo.universe.Universe;

/**
 * Writes the demo's data folder: an invented market in 2031, the same for the same size and seed.
 */
public final class DemoFolder {
  /** The seed of the demo. */
  public static final long SEED = 20_310_312;

  /** Raised when what is written changes, so that an older folder is written again. */
  public static final int VERSION = 9;

  /** How far the progress of a whole folder is once its day is written. */
  private static final double DAY = 0.6;

  /** How far the progress of a day is once the sessions before it are invented. */
  private static final double BEFORE = 0.4;

  /** Which part of what is left then is for inventing the day's prints. */
  private static final double INVENTING = 0.4;

  private final Path root;
  private final DemoSize size;
  private final long seed;
  private final ExchangeCalendar calendar = new ExchangeCalendar();
  private final List<InventedStock> stocks;

  private DemoFolder(Path root, DemoSize size, long seed) {
    this.root = root;
    this.size = size;
    this.seed = seed;
    stocks = InventedMarket.of(size, seed);
  }

  /**
   * Writes a folder, its day first and then {@link DemoHistory}.
   *
   * @throws UncheckedIOException when the disk refuses
   */
  public static void write(Path root, DemoSize size, long seed, Progress progress) {
    double day = size.printSessions() + size.barSessions() > 0 ? DAY : 1;
    writeDay(root, size, seed, progress.within(0, day));
    DemoHistory.write(root, size, seed, new ExchangeCalendar(), progress.within(day, 1));
  }

  /**
   * Writes what is needed to open its day: its session, and all that is known beforehand.
   *
   * @throws UncheckedIOException when the disk refuses
   */
  public static void writeDay(Path root, DemoSize size, long seed, Progress progress) {
    try {
      new DemoFolder(root, size, seed).writeDay(progress);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void writeDay(Progress progress) throws IOException {
    LocalDate date = size.session();
    Files.createDirectories(root);
    DemoHistory.remove(root, size, calendar);
    securities();
    EarlierSessions earlier = new EarlierSessions(size, seed, calendar, stocks);
    MinuteSessions minuteSessions = new MinuteSessions(size, seed, calendar, stocks);
    DailyInvention invention = new DailyInvention(size, seed, calendar, earlier, minuteSessions);
    double past = size.printSessions() + size.minuteSessions() > 0 ? BEFORE : 0;
    progress.step("inventing what came before");
    List<InventedFill> fills =
        new ArrayList<>(earlier.invent(root, invention, progress.within(0, past)));
    progress.step("inventing the market, once");
    InventedSession session = new InventedSession(stocks, seed, calendar.hours(date));
    AtomicInteger invented = new AtomicInteger();
    SideBySide.all(
        List.of(stop -> session(session, invented, stop), stop -> before(invention)),
        part -> progress.done(past + (1 - past) * INVENTING * invented.get() / stocks.size()));
    calendarFile(date);
    NewsWire.write(root.resolve("news"), date, stocks, seed);
    if (size.barSessions() > 0) {
      NewsWire.write(
          root.resolve("news/harbour-wire-earlier.xml"), date, minuteSessions.planted().news(date));
    }
    fills.addAll(DemoTrader.fills(date, stocks, session.trades));
    InventedFill.write(root.resolve("fills.csv"), fills);
    scans();
    universe();
    if (size.printSessions() > 0) {
      habits(EarlierSessions.printedOf(size, calendar).getFirst());
    }
    progress.done(1);
  }

  private void session(InventedSession session, AtomicInteger invented, Progress stop) {
    for (int i = 0; i < stocks.size(); i++) {
      stop.done(0);
      session.invent(i);
      invented.incrementAndGet();
    }
    Path folder = SessionFolder.of(root, size.session());
    SessionFolder.prints(folder, stocks, session);
    SessionFolder.mentions(folder, stocks, session);
  }

  private void before(DailyInvention invention) {
    daily(invention);
    new UsualMinutes(size, seed, calendar, stocks).write(MinutesTable.folder(root), invention);
  }

  private void securities() {
    csv(
        "securities.csv",
        csv -> {
          csv.writeRecord(
              "symbol",
              "name",
              "mic",
              "cfi",
              "sector",
              "industry",
              "country",
              "shares_outstanding",
              "float",
              "float_as_of",
              "shortable",
              "benchmark");
          for (InventedStock s : stocks) {
            csv.writeRecord(
                s.symbol(),
                s.name(),
                s.mic(),
                s.cfi(),
                s.sector(),
                s.sector(),
                "US",
                whole(s.sharesOutstanding()),
                whole(s.floatShares()),
                s.floatAsOf().toString(),
                s.shortable() ? "yes" : "no",
                s.benchmark() ? "yes" : "no");
          }
        });
    csv(
        "actions.csv",
        csv -> {
          csv.writeRecord("symbol", "date", "kind", "ratio");
          stocks.stream()
              .filter(s -> s.splitRatio() != 1)
              .forEach(
                  s ->
                      csv.writeRecord(
                          s.symbol(),
                          size.session().toString(),
                          "split",
                          String.valueOf(s.splitRatio())));
        });
  }

  private static String whole(double number) {
    return Double.isNaN(number) ? "" : Long.toString(Math.round(number));
  }

  private void daily(DailyInvention invention) {
    csv(
        "daily.csv.zst",
        csv -> {
          csv.writeRecord("symbol", "date", "open", "high", "low", "close", "volume", "trades");
          for (int i = 0; i < stocks.size(); i++) {
            for (DailyBar b : invention.bars(i, stocks.get(i))) {
              csv.writeRecord(
                  stocks.get(i).symbol(),
                  b.date().toString(),
                  Price.exact(b.open()),
                  Price.exact(b.high()),
                  Price.exact(b.low()),
                  Price.exact(b.close()),
                  Long.toString(b.volume()),
                  Long.toString(b.trades()));
            }
          }
        });
  }

  private void calendarFile(LocalDate date) {
    csv(
        "calendar.csv",
        csv -> {
          csv.writeRecord("date", "time", "symbol", "kind", "title");
          csv.writeRecord(date.toString(), "08:30:00", "", "prices", "Consumer prices, February");
          csv.writeRecord(
              date.toString(), "10:00:00", "", "inventories", "Wholesale inventories, January");
          csv.writeRecord(date.toString(), "14:00:00", "", "rates", "Rate decision");
          csv.writeRecord(
              date.toString(), "16:05:00", "ORBTOW", "earnings", "Orbital Tow, fourth quarter");
        });
  }

  private void scans() throws IOException {
    Files.createDirectories(root.resolve("scans"));
    for (String file : ScanFile.shippedFiles()) {
      Files.writeString(root.resolve("scans/" + file), ScanFile.shippedText(file));
    }
  }

  /**
   * What the trader of the track record had made: a scan that is only noise, an alert that pays.
   */
  private void habits(LocalDate first) {
    ScanFolder own = new ScanFolder(root, Vocabulary.DEFAULT, problem -> {});
    own.save(
        ScanFile.parse(TraderHabits.NOISE, TraderHabits.NOISE_FILE, Vocabulary.DEFAULT, List.of()));
    own.save(
        AlertBook.EMPTY.with(
            AlertSentence.parse(TraderHabits.ALERT, Vocabulary.DEFAULT, size.session())
                .alert()
                .arm(first.atTime(4, 0))));
  }

  /** The universe that most traders begin with; nobody has looked it through since autumn. */
  private void universe() {
    List<Rule> rules =
        Stream.of(
                "kind is common stock",
                "previous close between 1 and 500",
                "avg volume 20d at least 50K")
            .map(rule -> RuleSentence.parse(rule, Vocabulary.DEFAULT))
            .toList();
    LocalDate autumn = size.session().minusMonths(5);
    new ScanFolder(root, Vocabulary.DEFAULT, problem -> {})
        .save(new Universe("common stock", rules, Set.of(), Set.of(), autumn));
  }

  private void csv(String name, Consumer<CsvWriter> content) {
    writeCsv(root.resolve(name), content);
  }

  static void writeCsv(Path file, Consumer<CsvWriter> content) {
    try {
      var bytes = Files.newOutputStream(file);
      var target = file.toString().endsWith(".zst") ? new ZstdOutputStream(bytes, 3) : bytes;
      try (CsvWriter csv =
          CsvWriter.builder()
              .build(
                  new BufferedWriter(
                      new OutputStreamWriter(target, StandardCharsets.UTF_8), 1 << 16))) {
        content.accept(csv);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
