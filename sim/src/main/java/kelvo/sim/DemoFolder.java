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
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.scanfile.ScanFile;
import kelvo.engine.Progress;
import kelvo.market.DailyBar;
import kelvo.market.Price;
import kelvo.market.SaleCondition;
import kelvo.time.DayTime;

/**
 * Writes the demo's data folder: an invented market in 2031, the same for the same size and seed.
 */
public final class DemoFolder {
  /** The seed of the demo. */
  public static final long SEED = 20_310_312;

  /** Raised when what is written changes, so that an older folder is written anew. */
  public static final int VERSION = 2;

  private final Path root;
  private final DemoSize size;
  private final long seed;
  private final ExchangeCalendar calendar = new ExchangeCalendar();

  private DemoFolder(Path root, DemoSize size, long seed) {
    this.root = root;
    this.size = size;
    this.seed = seed;
  }

  /**
   * Writes a folder.
   *
   * @throws UncheckedIOException when the disk refuses
   */
  public static void write(Path root, DemoSize size, long seed, Progress progress) {
    try {
      new DemoFolder(root, size, seed).write(progress);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void write(Progress progress) throws IOException {
    LocalDate date = size.session();
    Files.createDirectories(root.resolve("sessions/" + date));
    List<InventedStock> stocks = InventedMarket.of(size, seed);
    securities(stocks);
    CompletableFuture<Void> daily = CompletableFuture.runAsync(() -> daily(stocks));
    InventedSession session = new InventedSession(stocks, seed, calendar.hours(date));
    for (int i = 0; i < stocks.size(); i++) {
      session.invent(i);
      progress.done(0.4 * i / stocks.size());
    }
    CompletableFuture<Void> quotes =
        CompletableFuture.runAsync(() -> quotes(stocks, session.quotes));
    trades(stocks, session.trades);
    progress.done(0.7);
    quotes.join();
    daily.join();
    halt(stocks);
    calendarFile(date);
    NewsWire.write(root.resolve("news"), date, stocks, seed);
    DemoTrader.writeFills(root.resolve("fills.csv"), date, stocks, session.trades);
    scans();
    progress.done(1);
  }

  private void securities(List<InventedStock> stocks) {
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

  private void daily(List<InventedStock> stocks) {
    DailyInvention invention = new DailyInvention(size, seed, calendar);
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

  private void trades(List<InventedStock> stocks, SessionEvents events) {
    csv(
        "sessions/" + size.session() + "/trades.csv.zst",
        csv -> {
          csv.writeRecord("time", "symbol", "price", "size", "conditions", "id");
          long id = 0;
          for (int i : events.inOrderOfTime()) {
            csv.writeRecord(
                time(events.timesMs[i]),
                stocks.get(events.stocks[i]).symbol(),
                Price.exact(events.firsts[i]),
                Long.toString(events.seconds[i]),
                words(events.thirds[i]),
                Long.toString(++id));
          }
        });
  }

  private void quotes(List<InventedStock> stocks, SessionEvents events) {
    csv(
        "sessions/" + size.session() + "/quotes.csv.zst",
        csv -> {
          csv.writeRecord("time", "symbol", "bid", "bid_size", "ask", "ask_size");
          for (int i : events.inOrderOfTime()) {
            csv.writeRecord(
                time(events.timesMs[i]),
                stocks.get(events.stocks[i]).symbol(),
                Price.exact(events.firsts[i]),
                Integer.toString(events.thirds[i]),
                Price.exact(events.seconds[i]),
                Integer.toString(events.fourths[i]));
          }
        });
  }

  private static String time(int ms) {
    return DayTime.millis(ms * DayTime.MILLISECOND);
  }

  private static String words(int conditions) {
    StringBuilder words = new StringBuilder();
    for (SaleCondition condition : SaleCondition.values()) {
      if ((conditions & condition.bit()) != 0) {
        words.append(words.isEmpty() ? "" : " ").append(condition.word());
      }
    }
    return words.toString();
  }

  private void halt(List<InventedStock> stocks) {
    String symbol =
        stocks.stream()
            .filter(s -> s.story() != null && s.story().id().equals("halt"))
            .findFirst()
            .orElseThrow()
            .symbol();
    csv(
        "sessions/" + size.session() + "/status.csv",
        csv -> {
          csv.writeRecord("time", "symbol", "state", "reason");
          csv.writeRecord(DayTime.millis(PlantedStories.HALT_FROM), symbol, "halted", "LUDP");
          csv.writeRecord(
              DayTime.millis(PlantedStories.HALT_TO - DayTime.MINUTE), symbol, "quoting", "LUDP");
          csv.writeRecord(DayTime.millis(PlantedStories.HALT_TO), symbol, "trading", "");
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
