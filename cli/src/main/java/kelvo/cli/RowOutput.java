package kelvo.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import kelvo.data.file.SpreadsheetCell;
import kelvo.data.file.WholeFile;
import picocli.CommandLine.Option;

/** Writes rows as CSV, or as JSON lines when asked to. */
final class RowOutput {
  private static final ObjectMapper JSON = new ObjectMapper();

  @Option(names = "--json", description = "JSON lines instead of CSV")
  boolean json;

  private final Terminal terminal;

  RowOutput(Terminal terminal) {
    this.terminal = terminal;
  }

  /** Writes a table to standard output. */
  void print(List<String> columns, List<List<String>> rows) {
    write(terminal.out(), columns, rows);
  }

  /** Writes a table to a file. */
  void write(Path file, List<String> columns, List<List<String>> rows) throws IOException {
    WholeFile.replaceForOwner(file, target -> write(target, columns, rows));
  }

  private void write(OutputStream target, List<String> columns, List<List<String>> rows) {
    try {
      Writer writer =
          new BufferedWriter(new OutputStreamWriter(target, StandardCharsets.UTF_8), 1 << 16);
      if (json) {
        for (List<String> row : rows) {
          writer.write(line(columns, row));
        }
      } else {
        CsvWriter csv = CsvWriter.builder().build(writer);
        csv.writeRecord(columns);
        rows.forEach(row -> csv.writeRecord(row.stream().map(SpreadsheetCell::of).toList()));
        csv.flush();
      }
      writer.flush();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String line(List<String> columns, List<String> row) {
    ObjectNode object = JSON.createObjectNode();
    for (int i = 0; i < columns.size(); i++) {
      String value = row.get(i);
      if (value.isEmpty()) {
        object.putNull(columns.get(i));
      } else if (value.matches("-?(0|[1-9]\\d*)(\\.\\d+)?")) {
        object.put(columns.get(i), new java.math.BigDecimal(value));
      } else {
        object.put(columns.get(i), value);
      }
    }
    return object + "\n";
  }
}
