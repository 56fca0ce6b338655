package kelvo.data.ledger;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import kelvo.data.file.SpreadsheetCell;
import kelvo.refusal.RefusedException;
import org.jdbi.v3.core.Handle;

/**
 * The ledger as an open archive: a zip with {@code ledger.json}, which says what is in it, a CSV a
 * table, and the scans of every version as the JSON files that they were. Nothing of the ledger is
 * left out, and it is read back as it was.
 */
public final class LedgerArchive {
  private static final ObjectMapper JSON = new ObjectMapper();
  static final int VERSION = 1;
  static final String CONTENTS = "ledger.json";
  static final String CSV = ".csv";
  static final String KELVO = "kelvo";
  static final String ROW_COUNTS = "rows";

  private LedgerArchive() {}

  /** An archive that cannot be read back; the message says why and what to do. */
  public static final class ArchiveException extends RefusedException {
    private static final long serialVersionUID = 1L;

    ArchiveException(String message) {
      super(message);
    }

    ArchiveException(String message, Throwable cause) {
      super(message, cause);
    }
  }

  /**
   * Writes all that is saved of a ledger.
   *
   * @throws IOException when it cannot be written
   */
  public static void write(Ledger ledger, OutputStream to) throws IOException {
    ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
    ObjectNode contents = JSON.createObjectNode().put(KELVO, VERSION);
    ObjectNode counts = contents.putObject(ROW_COUNTS);
    try {
      ledger.read(
          "",
          handle -> {
            ArchiveTable.ROWS.forEach(table -> counts.put(table.name(), write(handle, zip, table)));
            counts.put(ArchiveTable.HITS.name(), writeHits(handle, zip));
            return "";
          });
      zip.putNextEntry(new ZipEntry(CONTENTS));
      zip.write(JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(contents));
      zip.closeEntry();
    } catch (UncheckedIOException e) {
      throw e.getCause();
    }
    zip.finish();
  }

  private static long write(Handle handle, ZipOutputStream zip, ArchiveTable table) {
    List<String> columns = table.columnNames();
    String sql =
        "select " + String.join(", ", columns) + " from " + table.name() + " order by rowid";
    return csv(
        zip,
        table,
        to ->
            handle
                .select(sql)
                .map(
                    (row, context) -> {
                      List<String> cells = new ArrayList<>();
                      for (String column : columns) {
                        // SQLite's own text of a number has fewer figures than the number.
                        cells.add(String.valueOf(row.getObject(column)));
                      }
                      return cells;
                    })
                .forEach(to));
  }

  private static long writeHits(Handle handle, ZipOutputStream zip) {
    List<Long> days =
        handle.select("select distinct day from hit order by day").mapTo(Long.class).list();
    return csv(
        zip,
        ArchiveTable.HITS,
        to -> {
          for (long day : days) {
            KeptHits.of(handle, LocalDate.ofEpochDay(day), new UnknownEntries())
                .forEach(hit -> to.accept(cells(hit)));
          }
        });
  }

  private static List<String> cells(KeptHit hit) {
    return List.of(
        hit.day().toString(),
        Long.toString(hit.at()),
        hit.scan(),
        hit.version(),
        hit.side().name(),
        hit.symbol(),
        hit.trigger(),
        Long.toString(hit.price()),
        UnpackedHits.text(hit));
  }

  /** Writes a table as it is read and says how many rows it has. */
  private static long csv(
      ZipOutputStream zip, ArchiveTable table, Consumer<Consumer<List<String>>> rows) {
    long[] count = new long[1];
    try {
      zip.putNextEntry(new ZipEntry(table.file()));
      CsvWriter csv =
          CsvWriter.builder().build(new OutputStreamWriter(open(zip), StandardCharsets.UTF_8));
      csv.writeRecord(table.columnNames());
      rows.accept(
          row -> {
            csv.writeRecord(row.stream().map(SpreadsheetCell::of).toList());
            count[0]++;
          });
      csv.close();
      zip.closeEntry();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return count[0];
  }

  /** The zip goes on after an entry. */
  private static OutputStream open(ZipOutputStream zip) {
    return new FilterOutputStream(zip) {
      @Override
      public void write(byte[] bytes, int from, int length) throws IOException {
        out.write(bytes, from, length);
      }

      @Override
      public void close() throws IOException {
        flush();
      }
    };
  }

  /**
   * Reads an archive into a ledger that has nothing in it: all of it, or nothing.
   *
   * @throws ArchiveException when the ledger has entries, or something in the archive is wrong
   * @throws IOException when it cannot be read
   */
  public static void read(InputStream from, Ledger into) throws IOException {
    into.once(handle -> new ArchiveReading(handle).read(from));
  }
}
