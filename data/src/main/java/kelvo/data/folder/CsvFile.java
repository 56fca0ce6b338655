package kelvo.data.folder;

import com.github.luben.zstd.ZstdInputStream;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPInputStream;

/**
 * A CSV file of a data folder, plain or compressed, read row by row. A wrong line is reported and
 * left out; a wrong header stops this file alone; a truncated compressed file gives what was whole.
 */
final class CsvFile {
  private static final List<String> ENDINGS = List.of(".csv", ".csv.gz", ".csv.zst");

  private final Path path;
  private final String name;
  private final Faults faults;

  private CsvFile(Path path, String name, Faults faults) {
    this.path = path;
    this.name = name;
    this.faults = faults;
  }

  /** Takes one row. */
  interface RowReader {
    void read(CsvRow row);
  }

  /** Looks up the columns of a header and gives what reads the rows. */
  interface HeaderReader {
    RowReader read(CsvRow header);
  }

  /** The file of this name without its ending, if the folder has it. */
  static Optional<CsvFile> find(Path folder, String stem, Faults faults) {
    for (String ending : ENDINGS) {
      Path path = folder.resolve(stem + ending);
      if (Files.isRegularFile(path)) {
        return Optional.of(new CsvFile(path, stem + ending, faults));
      }
    }
    if (Files.exists(folder.resolve(stem + ".parquet"))) {
      faults.add(
          new Fault(
              stem + ".parquet",
              0,
              "",
              "a CSV file; Parquet is not read yet, export it as " + stem + ".csv",
              "Parquet"));
    }
    return Optional.empty();
  }

  /**
   * Reads all rows. The required columns must be in the header; {@code header} then finds its own.
   */
  void read(List<String> required, HeaderReader header) {
    CsvRow handler = new CsvRow();
    try (InputStream bytes = open();
        CsvReader<CsvRow> rows =
            CsvReader.builder()
                .allowExtraFields(true)
                .allowMissingFields(true)
                .detectBomHeader(true)
                .build(handler, bytes)) {
      readRows(rows, required, header);
    } catch (IOException | UncheckedIOException e) {
      faults.add(
          new Fault(
              name,
              0,
              "",
              "a whole file; what was whole has been read",
              String.valueOf(e.getMessage())));
    } catch (CsvParseException e) {
      faults.add(
          new Fault(
              name,
              handler.line(),
              "",
              "rows as in RFC 4180; the rest of the file was not read",
              String.valueOf(e.getMessage())));
    }
  }

  private InputStream open() throws IOException {
    InputStream raw = new BufferedInputStream(Files.newInputStream(path), 1 << 16);
    if (name.endsWith(".gz")) {
      return new GZIPInputStream(raw, 1 << 16);
    }
    return name.endsWith(".zst") ? new ZstdInputStream(raw) : raw;
  }

  private void readRows(CsvReader<CsvRow> rows, List<String> required, HeaderReader header) {
    RowReader reader = null;
    for (CsvRow row : rows) {
      if (reader == null) {
        row.becomeHeader();
        List<String> missing = required.stream().filter(c -> row.column(c) < 0).toList();
        if (!missing.isEmpty()) {
          faults.add(
              new Fault(name, 0, "", "a header with " + String.join(", ", missing), row.whole()));
          return;
        }
        reader = header.read(row);
      } else {
        readRow(row, reader);
      }
    }
  }

  private void readRow(CsvRow row, RowReader reader) {
    try {
      if (row.fieldCount() != row.columnCount()) {
        throw new BadField("", row.columnCount() + " fields", row.whole());
      }
      reader.read(row);
    } catch (BadField e) {
      faults.add(new Fault(name, row.line(), e.column, e.expected, e.text));
    } catch (IllegalArgumentException e) {
      faults.add(new Fault(name, row.line(), "", String.valueOf(e.getMessage()), row.whole()));
    }
  }
}
