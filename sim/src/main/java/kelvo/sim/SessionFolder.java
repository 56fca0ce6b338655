package kelvo.sim;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.job.Progress;
import kelvo.job.SideBySide;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;

/** Writes one invented session's files into a folder. */
final class SessionFolder {
  /** The file of the prints. */
  static final String TRADES = "trades.csv.zst";

  private final Path folder;
  private final List<InventedStock> stocks;

  private SessionFolder(Path folder, List<InventedStock> stocks) {
    this.folder = folder;
    this.stocks = stocks;
  }

  /** Where a data folder has the session of a date. */
  static Path of(Path root, LocalDate date) {
    return root.resolve("sessions").resolve(date.toString());
  }

  /** Writes the prints and what else came with them. */
  static void prints(Path folder, List<InventedStock> stocks, InventedSession session) {
    create(folder);
    SessionFolder files = new SessionFolder(folder, stocks);
    SideBySide.all(
        List.of(
            stop -> files.trades(session.trades),
            stop -> {
              files.quotes(session.quotes);
              files.statuses(session.statuses);
              files.imbalances(session.imbalances);
            }),
        Progress.NONE);
  }

  /** Writes how often its stocks were mentioned. */
  static void mentions(Path folder, List<InventedStock> stocks, InventedSession session) {
    create(folder);
    new SessionFolder(folder, stocks).mentions(session.mentions);
  }

  private static void create(Path folder) {
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void trades(SessionEvents events) {
    DemoFolder.writeCsv(
        folder.resolve(TRADES),
        csv -> {
          csv.writeRecord("time", "symbol", "price", "size", "conditions", "id");
          long id = 0;
          for (int i : events.inOrderOfTime()) {
            csv.writeRecord(
                time(events.timesMs[i]),
                symbol(events, i),
                Price.exact(events.firsts[i]),
                Long.toString(events.seconds[i]),
                words(events.thirds[i]),
                Long.toString(++id));
          }
        });
  }

  private void quotes(SessionEvents events) {
    DemoFolder.writeCsv(
        folder.resolve("quotes.csv.zst"),
        csv -> {
          csv.writeRecord("time", "symbol", "bid", "bid_size", "ask", "ask_size");
          for (int i : events.inOrderOfTime()) {
            csv.writeRecord(
                time(events.timesMs[i]),
                symbol(events, i),
                Price.exact(events.firsts[i]),
                Integer.toString(events.thirds[i]),
                Price.exact(events.seconds[i]),
                Integer.toString(events.fourths[i]));
          }
        });
  }

  private void statuses(SessionEvents events) {
    DemoFolder.writeCsv(
        folder.resolve("status.csv"),
        csv -> {
          csv.writeRecord("time", "symbol", "state", "reason");
          for (int i : events.inOrderOfTime()) {
            TradingState state = TradingState.values()[events.thirds[i]];
            csv.writeRecord(
                time(events.timesMs[i]),
                symbol(events, i),
                state.word(),
                state == TradingState.TRADING ? "" : VolatilityPauses.REASON);
          }
        });
  }

  private void imbalances(SessionEvents events) {
    DemoFolder.writeCsv(
        folder.resolve("imbalance.csv"),
        csv -> {
          csv.writeRecord("time", "symbol", "side", "paired", "imbalance", "reference");
          for (int i : events.inOrderOfTime()) {
            csv.writeRecord(
                time(events.timesMs[i]),
                symbol(events, i),
                events.firsts[i] < 0 ? "sell" : "buy",
                Integer.toString(events.thirds[i]),
                Long.toString(Math.abs(events.firsts[i])),
                Price.exact(events.seconds[i]));
          }
        });
  }

  private void mentions(SessionEvents events) {
    DemoFolder.writeCsv(
        folder.resolve("mentions.csv"),
        csv -> {
          csv.writeRecord("time", "symbol", "count");
          for (int i : events.inOrderOfTime()) {
            csv.writeRecord(
                time(events.timesMs[i]), symbol(events, i), Long.toString(events.firsts[i]));
          }
        });
  }

  private String symbol(SessionEvents events, int i) {
    return stocks.get(events.stocks[i]).symbol();
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
}
