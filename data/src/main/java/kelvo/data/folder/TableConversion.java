package kelvo.data.folder;

import com.github.luben.zstd.ZstdOutputStream;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import kelvo.data.fault.Faults;
import kelvo.data.fault.PlainReason;
import kelvo.data.file.WholeFile;
import kelvo.job.Progress;
import kelvo.refusal.RefusedException;

/**
 * Turns CSV into Parquet and back, a table or a whole data folder. A row with a field that is not
 * of its column's type is reported and left out; nothing that is there is overwritten. What is to
 * have the columns that it has is copied.
 */
public final class TableConversion {
  private static final String PARQUET = ".parquet";

  private final Faults faults = new Faults();
  private long rows;

  /** What was wrong so far. */
  public Faults faults() {
    return faults;
  }

  /** How many rows were written so far. */
  public long rows() {
    return rows;
  }

  /**
   * Converts a table, or every table of a folder; what is no table is copied.
   *
   * @throws RefusedException when the way in or out makes no sense
   */
  public void convert(Path in, Path out, Progress progress) {
    Path from = in.toAbsolutePath().normalize();
    Path to = out.toAbsolutePath().normalize();
    if (to.startsWith(from) || from.startsWith(to)) {
      throw new RefusedException(
          out + " lies in what is converted, or holds it; choose a place beside it");
    }
    if (Files.isDirectory(in)) {
      folder(in, out, progress);
    } else {
      table(in, out);
      progress.done(1);
    }
  }

  private void folder(Path in, Path out, Progress progress) {
    List<Path> files;
    try (Stream<Path> walk = Files.walk(in)) {
      files = walk.filter(Files::isRegularFile).sorted().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    boolean toParquet = files.stream().noneMatch(f -> f.toString().endsWith(PARQUET));
    for (int i = 0; i < files.size(); i++) {
      Path relative = in.relativize(files.get(i));
      String name = relative.toString();
      String ending = ending(name);
      if (ending.isEmpty()) {
        copy(files.get(i), out.resolve(name));
      } else {
        String stem = name.substring(0, name.length() - ending.length());
        table(files.get(i), out.resolve(stem + (toParquet ? PARQUET : ".csv.zst")));
      }
      progress.done((i + 1) / (double) files.size());
    }
  }

  private static String ending(String name) {
    return TableFile.ENDINGS.stream().filter(name::endsWith).findFirst().orElse("");
  }

  private static void copy(Path from, Path to) {
    try {
      Files.createDirectories(to.toAbsolutePath().getParent());
      if (Files.exists(to)) {
        throw new FileAlreadyExistsException(to.toString());
      }
      WholeFile.replace(to, out -> Files.copy(from, out));
      Files.setLastModifiedTime(to, Files.getLastModifiedTime(from));
    } catch (IOException e) {
      throw new RefusedException(
          "cannot copy " + from + " to " + to + "; choose a folder that is empty", e);
    }
  }

  private void table(Path in, Path out) {
    table(in, out, List.of());
  }

  /**
   * Converts a table with these columns in their order; one that it has not is empty.
   *
   * @param columns none for all that it has
   */
  void table(Path in, Path out, List<String> columns) {
    if (!Files.isRegularFile(in)) {
      throw new RefusedException("there is no file " + in + "; name a table or a folder");
    }
    if (ending(out.toString()).isEmpty()) {
      throw new RefusedException(
          out + " must end in one of " + String.join(", ", TableFile.ENDINGS));
    }
    if (Files.exists(out)) {
      throw new RefusedException(out + " is there already; choose another name");
    }
    try {
      Files.createDirectories(out.toAbsolutePath().getParent());
      if (isOf(in, out, columns)) {
        WholeFile.replace(out, to -> Files.copy(in, to));
      } else if (out.toString().endsWith(PARQUET)) {
        toParquet(in, out, columns);
      } else {
        WholeFile.replace(out, to -> toCsv(in, packed(out, to), columns));
      }
    } catch (IOException | SQLException e) {
      throw new RefusedException(
          "cannot write " + out + ": " + PlainReason.of(e) + "; check the folder", e);
    }
  }

  /** Whether a table is Parquet of just these columns and their types, so that it can be copied. */
  private boolean isOf(Path in, Path out, List<String> columns) throws SQLException {
    if (columns.isEmpty()
        || !in.toString().endsWith(PARQUET)
        || !out.toString().endsWith(PARQUET)) {
      return false;
    }
    List<String> found = new ArrayList<>();
    try (Connection duck = DuckDb.open();
        Statement statement = duck.createStatement()) {
      try (ResultSet described =
          statement.executeQuery("describe select * from " + DuckDb.table(in))) {
        while (described.next()) {
          found.add(described.getString("column_name") + " " + described.getString("column_type"));
        }
      }
      boolean same =
          found.equals(
              columns.stream()
                  .map(name -> name + " " + typeOf(in, name).sql().toUpperCase(Locale.ROOT))
                  .toList());
      if (same) {
        try (ResultSet counted =
            statement.executeQuery("select count(*) from " + DuckDb.table(in))) {
          counted.next();
          rows += counted.getLong(1);
        }
      }
      return same;
    }
  }

  /** Writes the rows that are right, and returns the names of the columns. */
  private List<String> toCsv(Path in, OutputStream out, List<String> wanted) throws IOException {
    List<String> columns = new ArrayList<>();
    try (CsvWriter csv =
        CsvWriter.builder().build(new OutputStreamWriter(out, StandardCharsets.UTF_8))) {
      TableFile.of(in, faults)
          .read(
              List.of(),
              header -> {
                List<String> names = wanted.isEmpty() ? header.columnNames() : wanted;
                List<Column> read =
                    names.stream()
                        .map(name -> new Column(header.column(name), typeOf(in, name)))
                        .toList();
                csv.writeRecord(names);
                columns.addAll(names);
                return row -> {
                  csv.writeRecord(fields(row, read));
                  rows++;
                };
              });
    }
    return columns;
  }

  /** Compressed as the name of the file says. */
  private static OutputStream packed(Path out, OutputStream raw) throws IOException {
    String name = out.toString().toLowerCase(Locale.ROOT);
    if (name.endsWith(".gz")) {
      return new GZIPOutputStream(raw, 1 << 16);
    }
    return name.endsWith(".zst") ? new ZstdOutputStream(raw) : raw;
  }

  /** Where a column is in a row, -1 where the file has none, and what it holds. */
  private record Column(int place, ColumnType type) {}

  /** The row's fields; throws {@link BadField} at one that is not of its column's type. */
  private static List<String> fields(TableRow row, List<Column> columns) {
    List<String> fields = new ArrayList<>(columns.size());
    for (Column column : columns) {
      column.type.check(row, column.place);
      fields.add(row.text(column.place));
    }
    return fields;
  }

  private void toParquet(Path in, Path out, List<String> wanted) throws IOException, SQLException {
    Path plain = Files.createTempFile("kelvo", ".csv");
    Path unfinished = out.resolveSibling(out.getFileName() + ".unfinished");
    try {
      List<String> columns;
      try (OutputStream to = Files.newOutputStream(plain)) {
        columns = toCsv(in, to, wanted).stream().map(name -> columnSpec(in, name)).toList();
      }
      try (Connection duck = DuckDb.open();
          Statement statement = duck.createStatement()) {
        statement.execute(
            "copy (select * from read_csv("
                + DuckDb.quoted(plain.toString())
                + ", header = true, delim = ',', quote = '\"', columns = {"
                + String.join(", ", columns)
                + "})) to "
                + DuckDb.quoted(unfinished.toString())
                + " (format parquet, compression zstd)");
      }
      Files.move(unfinished, out, StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(plain);
      Files.deleteIfExists(unfinished);
    }
  }

  private static String columnSpec(Path file, String name) {
    return DuckDb.quoted(name) + ": " + DuckDb.quoted(typeOf(file, name).sql());
  }

  /** The type of a column of a table, which is named as its file without the endings. */
  private static ColumnType typeOf(Path file, String column) {
    return ColumnType.of(file.getFileName().toString().replaceFirst("\\..*", ""), column);
  }
}
