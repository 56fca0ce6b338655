package kelvo.data.folder;

import com.github.luben.zstd.ZstdInputStream;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.zip.GZIPInputStream;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.data.fault.PlainReason;
import kelvo.refusal.RefusedException;
import org.jspecify.annotations.Nullable;

/**
 * A table of a data folder, as CSV, plain or compressed, or as Parquet, read row by row. A wrong
 * line is reported and left out; a wrong header stops this file alone; a truncated compressed file
 * gives what was whole.
 */
final class TableFile {
  /** The endings that a table's name can have, the one that is taken first. */
  static final List<String> ENDINGS = List.of(".csv", ".csv.gz", ".csv.zst", ".parquet");

  private static final String PARQUET = ".parquet";

  private final Path path;
  private final String name;
  private final Faults faults;

  private TableFile(Path path, String name, Faults faults) {
    this.path = path;
    this.name = name;
    this.faults = faults;
  }

  /** Takes one row. */
  interface RowReader {
    void read(TableRow row);
  }

  /** Looks up the columns of a header and gives what reads the rows. */
  interface HeaderReader {
    RowReader read(TableRow header);
  }

  /** A file that is there. */
  static TableFile of(Path path, Faults faults) {
    return new TableFile(path, String.valueOf(path.getFileName()), faults);
  }

  /** The file of this name without its ending, if the folder has it. */
  static Optional<TableFile> find(Path folder, String stem, Faults faults) {
    for (String ending : ENDINGS) {
      Path path = folder.resolve(stem + ending);
      if (Files.isRegularFile(path)) {
        return Optional.of(new TableFile(path, stem + ending, faults));
      }
      if (Files.exists(path, LinkOption.NOFOLLOW_LINKS)) {
        String found = Files.isDirectory(path) ? "a folder" : "a link that leads nowhere";
        faults.add(new Fault(stem + ending, 0, "", "a table", found));
      }
    }
    return Optional.empty();
  }

  /** Its name from the folder on, with its ending. */
  String name() {
    return name;
  }

  /**
   * Reads all rows. The required columns must be in the header; {@code header} then finds its own.
   *
   * @throws CancellationException when the thread was interrupted, which is no fault of the file
   */
  void read(List<String> required, HeaderReader header) {
    if (name.endsWith(PARQUET)) {
      readParquet(required, header);
    } else {
      readCsv(required, header);
    }
  }

  private void readParquet(List<String> required, HeaderReader header) {
    Rows rows = new Rows(required, header);
    try {
      ParquetRows.read(path, new TableRow(), rows::take);
      rows.end();
    } catch (SQLException e) {
      faults.add(new Fault(name, 0, "", "a whole Parquet file", "one that is damaged"));
    }
  }

  private void readCsv(List<String> required, HeaderReader header) {
    TableRow handler = new TableRow();
    try (TableText text = new TableText(open());
        CsvReader<TableRow> csv =
            CsvReader.builder()
                .allowExtraFields(true)
                .allowMissingFields(true)
                .build(handler, text)) {
      Rows rows = new Rows(required, header);
      Iterator<TableRow> all = csv.iterator();
      while (all.hasNext() && rows.take(all.next(), text)) {
        // Each row is taken by the condition.
      }
      rows.end();
    } catch (IOException | UncheckedIOException e) {
      if (Thread.currentThread().isInterrupted()) {
        throw new CancellationException("reading " + name + " was stopped");
      }
      faults.add(
          new Fault(
              name,
              0,
              "",
              "a whole file; its lines up to " + handler.line() + " were read",
              reason(e),
              false));
    } catch (CsvParseException e) {
      faults.add(
          new Fault(
              name,
              handler.line(),
              "",
              "a row shorter than 16 million characters; the rest of the file was not read",
              "a longer one"));
    }
  }

  /** The file's own trouble; the library for rows puts words of its own before it. */
  private static String reason(Exception e) {
    Throwable cause = e.getCause();
    return PlainReason.of(e instanceof UncheckedIOException && cause != null ? cause : e);
  }

  private InputStream open() throws IOException {
    InputStream raw = new BufferedInputStream(Files.newInputStream(path), 1 << 16);
    if (name.endsWith(".gz")) {
      return new ReadAhead(new GrowthLimit(new GZIPInputStream(raw, 1 << 16), Files.size(path)));
    }
    return name.endsWith(".zst")
        ? new ReadAhead(new GrowthLimit(new ZstdInputStream(raw), Files.size(path)))
        : raw;
  }

  /** Reads the header from the first row and everything else from the rows after it. */
  private final class Rows {
    private final List<String> required;
    private final HeaderReader header;
    private @Nullable RowReader reader;
    private boolean wrongHeader;

    Rows(List<String> required, HeaderReader header) {
      this.required = required;
      this.header = header;
    }

    /** Takes the next row of a text, unless it is wrong as a text, and returns whether to go on. */
    boolean take(TableRow row, TableText text) {
      if (text.hasForeignBytes(row.line())) {
        faults.add(new Fault(name, row.line(), "", "text in UTF-8", row.whole(), false));
      }
      if (text.hasOpenQuote(row.line())) {
        faults.add(
            new Fault(name, row.line(), "", "each quote to be closed in its field", row.whole()));
        return true;
      }
      return take(row);
    }

    /** All rows have been taken. */
    void end() {
      if (reader == null && !wrongHeader) {
        faults.add(
            new Fault(name, 0, "", "a header with " + String.join(", ", required), "nothing"));
      }
    }

    /** Takes the next row and returns whether to go on. */
    boolean take(TableRow row) {
      if (reader != null) {
        readRow(row, reader);
        return true;
      }
      row.becomeHeader();
      List<String> missing = required.stream().filter(c -> row.column(c) < 0).toList();
      if (!missing.isEmpty()) {
        faults.add(
            new Fault(name, 0, "", "a header with " + String.join(", ", missing), row.whole()));
        wrongHeader = true;
        return false;
      }
      reader = header.read(row);
      return true;
    }
  }

  private void readRow(TableRow row, RowReader reader) {
    try {
      if (row.fieldCount() != row.columnCount()) {
        throw new BadField("", row.columnCount() + " fields", row.whole());
      }
      reader.read(row);
    } catch (BadField e) {
      faults.add(new Fault(name, row.line(), e.column, e.expected, e.text));
    } catch (RefusedException e) {
      faults.add(new Fault(name, row.line(), "", expected(e), row.whole()));
    }
  }

  /** What was found stands in the row, which is told as a whole. */
  private static String expected(RefusedException refused) {
    return String.valueOf(refused.getMessage()).replaceFirst(", found .*", "");
  }
}
