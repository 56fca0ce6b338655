package kelvo.data.ledger;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.FilterInputStream;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import kelvo.data.file.SpreadsheetCell;
import kelvo.scan.Side;
import org.jdbi.v3.core.Handle;

/**
 * The ledger as an open archive: a zip with {@code ledger.json}, which says what is in it, a CSV a
 * table, and the scans of every version as the JSON files that they were. Nothing of the ledger is
 * left out, and it is read back as it was.
 */
public final class LedgerArchive {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int VERSION = 1;
  private static final String CONTENTS = "ledger.json";
  private static final String CSV = ".csv";
  private static final String HITS = "hit";

  private static final List<String> HIT_COLUMNS =
      List.of("day", "at", "scan", "scan_version", "side", "symbol", "trigger", "price", "fields");

  /** The tables that are written column by column; hits are unpacked first. */
  private static final Map<String, List<String>> TABLES = tables();

  private LedgerArchive() {}

  private static Map<String, List<String>> tables() {
    Map<String, List<String>> tables = new LinkedHashMap<>();
    tables.put(
        "decision", List.of("day", "at", "symbol", "choice", "reason", "side", "bucket", "plan"));
    tables.put("level", List.of("day", "symbol", "price", "kind", "set_at", "removed_at", "rise"));
    tables.put("note", List.of("day", "at", "symbol", "text"));
    tables.put("focus", List.of("day", "symbol", "from_at", "to_at"));
    tables.put(
        "fill",
        List.of(
            "day",
            "at",
            "symbol",
            "side",
            "quantity",
            "price",
            "fee",
            "account",
            "order_id",
            "same"));
    tables.put("place", List.of("day", "moment"));
    tables.put("remark", List.of("day", "kind", "symbol", "account", "at", "text", "tags"));
    tables.put("hand_match", List.of("day", "symbol", "account", "at", "says", "move_start"));
    tables.put("rule_kept", List.of("day", "rule", "answer"));
    tables.put(
        "practice_order",
        List.of(
            "day",
            "place",
            "at",
            "order_id",
            "symbol",
            "way",
            "shares",
            "terms",
            "price",
            "limit_price",
            "stop",
            "target"));
    tables.put(
        "practice_fill",
        List.of("day", "place", "at", "symbol", "side", "quantity", "price", "order_id"));
    tables.put(
        "drill_call",
        List.of(
            "id",
            "day",
            "symbol",
            "at",
            "entered_at",
            "entry",
            "call",
            "stop",
            "exit_at",
            "exit_price",
            "result",
            "multiple",
            "stopped",
            "by_scan"));
    tables.put("scan_version", List.of("version", "scan", "json", "first_day"));
    return tables;
  }

  /** An archive that cannot be read back; the message says why and what to do. */
  public static final class ArchiveException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    ArchiveException(String message) {
      super(message);
    }
  }

  /**
   * Writes all that is saved of a ledger.
   *
   * @throws IOException when it cannot be written
   */
  public static void write(Ledger ledger, OutputStream to) throws IOException {
    ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
    ObjectNode contents = JSON.createObjectNode().put("kelvo", VERSION);
    ObjectNode counts = contents.putObject("rows");
    try {
      ledger.read(
          "",
          handle -> {
            TABLES.forEach(
                (table, columns) -> counts.put(table, write(handle, zip, table, columns)));
            counts.put(HITS, writeHits(handle, zip));
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

  private static int write(Handle handle, ZipOutputStream zip, String table, List<String> columns) {
    List<List<String>> rows =
        handle
            .select("select " + String.join(", ", columns) + " from " + table + " order by rowid")
            .map(
                (row, context) -> {
                  List<String> cells = new ArrayList<>();
                  for (String column : columns) {
                    // SQLite's own text of a number has fewer figures than the number.
                    cells.add(String.valueOf(row.getObject(column)));
                  }
                  return cells;
                })
            .list();
    csv(zip, table, columns, rows);
    return rows.size();
  }

  private static int writeHits(Handle handle, ZipOutputStream zip) {
    List<List<String>> rows = new ArrayList<>();
    for (long day :
        handle.select("select distinct day from hit order by day").mapTo(Long.class).list()) {
      for (KeptHit hit : KeptHits.of(handle, LocalDate.ofEpochDay(day))) {
        rows.add(
            List.of(
                hit.day().toString(),
                Long.toString(hit.at()),
                hit.scan(),
                hit.version(),
                hit.side().name(),
                hit.symbol(),
                hit.trigger(),
                Long.toString(hit.price()),
                UnpackedHits.text(hit)));
      }
    }
    csv(zip, HITS, HIT_COLUMNS, rows);
    return rows.size();
  }

  private static void csv(
      ZipOutputStream zip, String table, List<String> columns, List<List<String>> rows) {
    try {
      zip.putNextEntry(new ZipEntry(table + CSV));
      CsvWriter csv =
          CsvWriter.builder().build(new OutputStreamWriter(open(zip), StandardCharsets.UTF_8));
      csv.writeRecord(columns);
      rows.forEach(row -> csv.writeRecord(row.stream().map(SpreadsheetCell::of).toList()));
      csv.close();
      zip.closeEntry();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
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
   * Reads an archive into a ledger that has nothing in it, and waits until it is saved.
   *
   * @throws ArchiveException when the ledger has entries, or the archive is none
   * @throws IOException when it cannot be read
   */
  public static void read(InputStream from, Ledger into) throws IOException {
    if (!isEmpty(into)) {
      throw new ArchiveException(
          "the ledger has entries already; read the archive into a folder that has no ledger yet");
    }
    boolean known = false;
    ZipInputStream zip = new ZipInputStream(from, StandardCharsets.UTF_8);
    for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
      String name = entry.getName();
      if (name.equals(CONTENTS)) {
        known = version(zip.readAllBytes());
      } else if (name.endsWith(CSV)) {
        read(zip, name.substring(0, name.length() - CSV.length()), into);
      }
    }
    if (!known) {
      throw new ArchiveException(
          "it is no archive of a ledger; expected a zip with " + CONTENTS + " in it");
    }
    if (!into.awaitSaved()) {
      throw new ArchiveException(into.failure());
    }
  }

  private static boolean isEmpty(Ledger ledger) {
    return ledger.read(
        true,
        handle -> {
          List<String> names = new ArrayList<>(TABLES.keySet());
          names.add(HITS);
          return names.stream()
              .allMatch(
                  table ->
                      handle.select("select count(*) from " + table).mapTo(Long.class).one() == 0);
        });
  }

  private static boolean version(byte[] contents) throws IOException {
    int version = JSON.readTree(contents).path("kelvo").asInt();
    if (version != VERSION) {
      throw new ArchiveException(
          "it is of version " + version + "; this Kelvo reads version " + VERSION);
    }
    return true;
  }

  private static void read(ZipInputStream zip, String table, Ledger into) throws IOException {
    List<String> columns = table.equals(HITS) ? HIT_COLUMNS : TABLES.get(table);
    if (columns == null) {
      return;
    }
    String sql =
        "insert into "
            + table
            + "("
            + String.join(", ", columns)
            + ") values (?"
            + ", ?".repeat(columns.size() - 1)
            + ")";
    for (NamedCsvRecord row :
        CsvReader.builder()
            .ofNamedCsvRecord(new InputStreamReader(entry(zip), StandardCharsets.UTF_8))) {
      String[] cells =
          columns.stream().map(row::getField).map(SpreadsheetCell::text).toArray(String[]::new);
      if (table.equals(HITS)) {
        KeptHit hit = hit(cells);
        into.add(handle -> UnpackedHits.insert(handle, hit));
      } else {
        Object[] values = values(columns, cells);
        into.add(handle -> handle.execute(sql, values));
      }
    }
  }

  /** SQLite would read a broken number less exactly. */
  private static Object[] values(List<String> columns, String[] cells) {
    Object[] values = Arrays.copyOf(cells, cells.length, Object[].class);
    int rise = columns.indexOf("rise");
    if (rise >= 0) {
      values[rise] = Double.parseDouble(cells[rise]);
    }
    return values;
  }

  /** The rows end with the entry, the zip does not. */
  private static InputStream entry(ZipInputStream zip) {
    return new FilterInputStream(zip) {
      @Override
      public void close() {}
    };
  }

  private static KeptHit hit(String[] cells) throws IOException {
    Map<String, Double> numbers = new LinkedHashMap<>();
    Map<String, String> words = new LinkedHashMap<>();
    UnpackedHits.read(cells[8], numbers, words);
    return new KeptHit(
        LocalDate.parse(cells[0]),
        Long.parseLong(cells[1]),
        cells[2],
        cells[3],
        Side.valueOf(cells[4]),
        cells[5],
        cells[6],
        Long.parseLong(cells[7]),
        numbers,
        words);
  }
}
