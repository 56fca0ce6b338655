package kelvo.sim;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.function.Consumer;
import kelvo.data.folder.TableConversion;
import kelvo.job.Progress;

/** A table of minute bars of one earlier session, as a folder keeps it. */
final class MinutesTable {
  private MinutesTable() {}

  /**
   * Writes the minutes of a date as Parquet.
   *
   * @param folder the folder's minutes
   * @param content writes the header and the rows
   */
  static void write(Path folder, LocalDate date, Consumer<CsvWriter> content) {
    Path csv = folder.resolve(date + ".part.csv");
    try {
      Files.createDirectories(folder);
      DemoFolder.writeCsv(csv, content);
      new TableConversion().convert(csv, folder.resolve(date + ".parquet"), Progress.NONE);
      Files.delete(csv);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
