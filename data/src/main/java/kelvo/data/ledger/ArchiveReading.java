package kelvo.data.ledger;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.EOFException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import kelvo.data.fault.PlainReason;
import kelvo.data.file.SpreadsheetCell;
import kelvo.data.ledger.LedgerArchive.ArchiveException;
import kelvo.refusal.RefusedException;
import kelvo.scan.Side;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.statement.UnableToExecuteStatementException;
import org.jspecify.annotations.Nullable;

/**
 * Reads an archive row by row into one transaction. Nothing of it is held in memory but a row, and
 * whatever is wrong ends it with a sentence that names the place.
 */
final class ArchiveReading {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int LONGEST_CONTENTS = 1_000_000;

  /** A hit of some hundred fields takes some thousand. */
  private static final int MOST_CHARACTERS_OF_A_ROW = 4_000_000;

  private static final int SHOWN = 40;

  private final Handle handle;
  private final Map<String, Long> rows = new HashMap<>();

  ArchiveReading(Handle handle) {
    this.handle = handle;
  }

  void read(InputStream from) throws IOException {
    requireEmpty();
    JsonNode contents;
    try {
      contents = tables(from);
    } catch (ZipException | EOFException e) {
      throw damaged(e);
    } catch (UncheckedIOException e) {
      if (e.getCause() instanceof ZipException || e.getCause() instanceof EOFException) {
        throw damaged(e.getCause());
      }
      throw e.getCause();
    }
    if (contents == null) {
      throw new ArchiveException(
          "it is no archive of a ledger; expected a zip with " + LedgerArchive.CONTENTS + " in it");
    }
    requireAllRows(contents.path(LedgerArchive.ROW_COUNTS));
  }

  private static ArchiveException damaged(IOException thrown) {
    return new ArchiveException(
        "it is damaged or cut off (" + PlainReason.of(thrown) + ")", thrown);
  }

  /** Reads the tables and gives what the archive says of itself; null when it says nothing. */
  private @Nullable JsonNode tables(InputStream from) throws IOException {
    JsonNode contents = null;
    ZipInputStream zip = new ZipInputStream(from, StandardCharsets.UTF_8);
    for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
      String name = entry.getName();
      if (name.equals(LedgerArchive.CONTENTS)) {
        contents = contents(zip);
      } else if (name.endsWith(LedgerArchive.CSV)) {
        ArchiveTable table =
            ArchiveTable.named(name.substring(0, name.length() - LedgerArchive.CSV.length()))
                .orElse(null);
        if (table != null) {
          read(zip, table);
        }
      }
    }
    return contents;
  }

  private void requireEmpty() {
    boolean empty =
        Stream.concat(ArchiveTable.ROWS.stream(), Stream.of(ArchiveTable.HITS))
            .allMatch(
                table ->
                    handle.select("select count(*) from " + table.name()).mapTo(Long.class).one()
                        == 0);
    if (!empty) {
      throw new ArchiveException(
          "the ledger has entries already; read the archive into a folder that has no ledger yet");
    }
  }

  private static JsonNode contents(InputStream zip) throws IOException {
    byte[] bytes = zip.readNBytes(LONGEST_CONTENTS + 1);
    try {
      JsonNode contents = bytes.length > LONGEST_CONTENTS ? null : JSON.readTree(bytes);
      if (contents != null && contents.isObject()) {
        int version = contents.path(LedgerArchive.KELVO).asInt();
        if (version != LedgerArchive.VERSION) {
          throw new ArchiveException(
              "it is of version "
                  + version
                  + "; this Kelvo reads version "
                  + LedgerArchive.VERSION);
        }
        return contents;
      }
    } catch (JsonProcessingException e) {
      // Told like anything else that is no contents.
    }
    throw new ArchiveException(LedgerArchive.CONTENTS + ": expected a JSON object of some lines");
  }

  /** An archive that was cut off between two tables looks whole otherwise. */
  private void requireAllRows(JsonNode counts) {
    for (Map.Entry<String, JsonNode> count : counts.properties()) {
      long found = rows.getOrDefault(count.getKey(), 0L);
      if (ArchiveTable.named(count.getKey()).isPresent() && found != count.getValue().asLong()) {
        throw new ArchiveException(
            count.getKey()
                + LedgerArchive.CSV
                + " has "
                + found
                + " rows, and "
                + LedgerArchive.CONTENTS
                + " says "
                + count.getValue().asText());
      }
    }
  }

  private void read(ZipInputStream zip, ArchiveTable table) throws IOException {
    String sql =
        "insert into "
            + table.name()
            + "("
            + String.join(", ", table.columnNames())
            + ") values (?"
            + ", ?".repeat(table.columns().size() - 1)
            + ")";
    long count = 0;
    try {
      Iterator<CsvRecord> records =
          CsvReader.builder()
              .maxBufferSize(MOST_CHARACTERS_OF_A_ROW)
              .ofCsvRecord(new InputStreamReader(entry(zip), StandardCharsets.UTF_8))
              .iterator();
      requireHeader(table, records.hasNext() ? records.next().getFields() : List.of());
      while (records.hasNext()) {
        insert(table, sql, records.next());
        count++;
      }
    } catch (CsvParseException e) {
      throw new ArchiveException(
          table.file()
              + ", after row "
              + count
              + ": expected CSV with at most "
              + MOST_CHARACTERS_OF_A_ROW
              + " characters in a row",
          e);
    }
    rows.put(table.name(), count);
  }

  private static void requireHeader(ArchiveTable table, List<String> found) {
    if (!found.equals(table.columnNames())) {
      throw new ArchiveException(
          table.file()
              + ", line 1: expected the columns "
              + String.join(",", table.columnNames())
              + ", found "
              + shortened(String.join(",", found)));
    }
  }

  private void insert(ArchiveTable table, String sql, CsvRecord record) throws IOException {
    Object[] values = new Object[table.columns().size()];
    for (int i = 0; i < values.length; i++) {
      ArchiveTable.Column column = table.columns().get(i);
      String text = SpreadsheetCell.text(record.getField(i));
      try {
        values[i] = column.cell().value(text);
      } catch (RefusedException e) {
        throw new ArchiveException(
            place(table, record)
                + ", "
                + column.name()
                + ": expected "
                + e.getMessage()
                + ", found "
                + shortened(text),
            e);
      }
    }
    boolean added;
    try {
      added =
          table.equals(ArchiveTable.HITS)
              ? UnpackedHits.insert(handle, hit(table, record, values))
              : handle.execute(sql, values) == 1;
    } catch (UnableToExecuteStatementException e) {
      if (LedgerTrouble.of(e).isPresent()) {
        throw e;
      }
      added = false;
    }
    if (!added) {
      throw new ArchiveException(place(table, record) + ": the same entry is there twice");
    }
  }

  private static String place(ArchiveTable table, CsvRecord record) {
    return table.file() + ", line " + record.getStartingLineNumber();
  }

  private static String shortened(String text) {
    return text.isEmpty()
        ? "nothing"
        : text.length() <= SHOWN ? text : text.substring(0, SHOWN) + " ..";
  }

  private static KeptHit hit(ArchiveTable table, CsvRecord record, Object[] values) {
    Map<String, Double> numbers = new LinkedHashMap<>();
    Map<String, String> words = new LinkedHashMap<>();
    try {
      UnpackedHits.read((String) values[8], numbers, words);
    } catch (JsonProcessingException | NumberFormatException e) {
      throw new ArchiveException(
          place(table, record) + ", fields: expected a JSON object with numbers and words", e);
    }
    return new KeptHit(
        LocalDate.parse((String) values[0]),
        (Long) values[1],
        (String) values[2],
        (String) values[3],
        Side.valueOf((String) values[4]),
        (String) values[5],
        (String) values[6],
        (Long) values[7],
        numbers,
        words);
  }

  /** The rows end with the entry, the zip does not. */
  private static InputStream entry(ZipInputStream zip) {
    return new FilterInputStream(zip) {
      @Override
      public void close() {}
    };
  }
}
