package kelvo.sim;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.function.Consumer;
import kelvo.tape.Price;

/** A table of the minute bars of one earlier session, while it is written. */
final class MinutesTable {
  private final CsvWriter csv;

  private MinutesTable(CsvWriter csv) {
    this.csv = csv;
  }

  /** Where a data folder has the minutes of its sessions. */
  static Path folder(Path root) {
    return root.resolve("minutes");
  }

  /** The name of the table of a date. */
  static String name(LocalDate date) {
    return date + ".csv.zst";
  }

  /**
   * Writes the minutes of a date.
   *
   * @param rows adds the rows
   */
  static void write(Path folder, LocalDate date, Consumer<MinutesTable> rows) {
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    DemoFolder.writeCsv(
        folder.resolve(name(date)),
        csv -> {
          csv.writeRecord("symbol", "time", "open", "high", "low", "close", "volume", "trades");
          rows.accept(new MinutesTable(csv));
        });
  }

  /**
   * Adds a bar.
   *
   * @param time when it begins, HH:MM:SS in New York
   * @param open in {@link Price} units, as are the other prices
   */
  void row(
      String symbol,
      String time,
      long open,
      long high,
      long low,
      long close,
      long volume,
      long trades) {
    csv.writeRecord(
        symbol,
        time,
        Price.exact(open),
        Price.exact(high),
        Price.exact(low),
        Price.exact(close),
        Long.toString(volume),
        Long.toString(trades));
  }
}
