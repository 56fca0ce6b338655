package kelvo.data.feed;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One table of a session that is being recorded. It begins with its header as soon as it is opened,
 * and can be put back to what was last saved. Used on one thread.
 */
final class RecordedTable {
  /** The tables of a session, and what their rows hold; the last column numbers them. */
  enum Kind {
    TRADES("time", "symbol", "price", "size", "conditions", "id", "seq"),
    QUOTES("time", "symbol", "bid", "bid_size", "ask", "ask_size", "seq"),
    STATUS("time", "symbol", "state", "reason", "seq"),
    CORRECTIONS("time", "symbol", "id", "action", "price", "size", "seq"),
    IMBALANCE("time", "symbol", "side", "paired", "imbalance", "reference", "seq"),
    MENTIONS("time", "symbol", "count", "seq"),
    FILLS("time", "symbol", "side", "quantity", "price", "fee", "account", "order_id", "seq");

    private final String[] columns;

    Kind(String... columns) {
      this.columns = columns;
    }

    int width() {
      return columns.length;
    }

    List<String> header() {
      return List.of(columns);
    }

    Path in(Path folder) {
      return folder.resolve(name().toLowerCase(Locale.ROOT) + ".csv");
    }
  }

  private static final Logger LOG = LoggerFactory.getLogger(RecordedTable.class);

  private final RecordingStore store;
  private final Path file;
  private Writer out;
  private CsvWriter writer;

  /** How many bytes the record's mark stands for. */
  private long saved;

  /** How many bytes were there after the last flush. */
  private long written;

  /** Opens a table whose file holds whole rows only, or none. */
  RecordedTable(Kind kind, Path folder, RecordingStore store) throws IOException {
    this.store = store;
    file = kind.in(folder);
    boolean begun = Files.exists(file) && Files.size(file) > 0;
    out = store.append(file);
    writer = CsvWriter.builder().build(out);
    if (!begun) {
      writer.writeRecord(kind.columns);
    }
    flush();
    saved();
  }

  /**
   * Cuts a row off that a kill has torn: a row counts only when its end of line is there.
   *
   * @return whether there was one
   */
  static boolean cutTornRow(Path file) throws IOException {
    if (!Files.exists(file)) {
      return false;
    }
    try (RandomAccessFile bytes = new RandomAccessFile(file.toFile(), "rw")) {
      long end = bytes.length();
      while (end > 0) {
        bytes.seek(end - 1);
        if (bytes.read() == '\n') {
          break;
        }
        end--;
      }
      boolean torn = end < bytes.length();
      bytes.setLength(end);
      return torn;
    }
  }

  void row(List<String> fields) {
    writer.writeRecord(fields);
  }

  /** Brings all rows so far to the file; they count once the mark names them. */
  void flush() throws IOException {
    try {
      writer.flush();
    } catch (UncheckedIOException e) {
      throw new IOException(e.getCause() == null ? e.getMessage() : e.getCause().getMessage(), e);
    }
    written = Files.size(file);
  }

  /** The mark names what was flushed last. */
  void saved() {
    saved = written;
  }

  /** Forgets every row that is not {@link #saved}, however much of it has reached the file. */
  void backToSaved() throws IOException {
    abandon();
    store.truncate(file, saved);
    out = store.append(file);
    writer = CsvWriter.builder().build(out);
  }

  /** Lets the file go; what was not saved is cut off later and asked for again. */
  void abandon() {
    for (AutoCloseable each : List.of(writer, out)) {
      try {
        each.close();
      } catch (Exception e) {
        LOG.debug("{} was let go", file, e);
      }
    }
  }

  void close() throws IOException {
    writer.close();
  }

  Path file() {
    return file;
  }
}
