package kelvo.sim;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.util.List;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import org.jspecify.annotations.Nullable;

/** The file in which a broker lists the day's fills, as docs/formats.md describes it. */
public final class BrokerFile implements AutoCloseable {
  private final LocalDate date;
  private final @Nullable CsvWriter csv;

  /**
   * Begins a file.
   *
   * @param file must not be there yet, so that nothing is overwritten; null for none
   * @throws UncheckedIOException when it is there or cannot be written
   */
  public BrokerFile(@Nullable Path file, LocalDate date) {
    this.date = date;
    try {
      csv =
          file == null
              ? null
              : CsvWriter.builder()
                  .build(Files.newBufferedWriter(file, StandardOpenOption.CREATE_NEW));
    } catch (IOException e) {
      throw new UncheckedIOException("cannot write " + file + "; name another file", e);
    }
    write("time", "symbol", "side", "quantity", "price", "fee", "account", "order_id");
  }

  /** Adds fills, so that whoever reads the file now sees them. */
  public void append(List<Fill> fills) {
    for (Fill fill : fills) {
      write(
          date.atStartOfDay()
              .plusNanos(fill.at())
              .atZone(DayTime.NEW_YORK)
              .toOffsetDateTime()
              .toString(),
          fill.symbol(),
          fill.side().word(),
          fill.quantity().toPlainString(),
          fill.price().toPlainString(),
          fill.fee().toPlainString(),
          fill.account(),
          fill.orderId());
    }
  }

  private void write(String... fields) {
    if (csv != null) {
      try {
        csv.writeRecord(fields);
        csv.flush();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  @Override
  public void close() {
    if (csv != null) {
      try {
        csv.close();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }
}
