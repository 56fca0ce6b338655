package kelvo.data.folder;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.fault.Faults;
import kelvo.data.file.WholeFile;
import kelvo.universe.Figure;

/**
 * Floats and share counts put right by hand, with their source: figures.csv of a data folder. What
 * was believed before stays readable until it is taken back; the last one of a security counts.
 */
public final class FiguresFile {
  private static final String NAME = "figures";
  private static final String[] COLUMNS = {"symbol", "figure", "value", "as_of", "source"};

  private FiguresFile() {}

  /** All figures of a folder, in the order in which they were put right. */
  static List<Figure> read(Path root, Faults faults) {
    List<Figure> figures = new ArrayList<>();
    TableFile.find(root, NAME, faults)
        .ifPresent(
            file ->
                file.read(
                    List.of("symbol", "figure", "value", "as_of"),
                    header -> {
                      int symbol = header.column("symbol");
                      int kind = header.column("figure");
                      int value = header.column("value");
                      int asOf = header.column("as_of");
                      int source = header.column("source");
                      return row ->
                          figures.add(
                              new Figure(
                                  row.text(symbol),
                                  Figure.Kind.of(row.text(kind)),
                                  row.number(value),
                                  row.date(asOf),
                                  row.text(source)));
                    }));
    return figures;
  }

  /** Takes the last of the rows that say the same back; all other lines stay as they are. */
  public static void takeBack(Path root, Figure figure) {
    Path file = root.resolve(NAME + ".csv");
    try {
      List<String> lines = new ArrayList<>(Files.readAllLines(file));
      int first = 0;
      int after = 0;
      try (CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(file)) {
        boolean found = false;
        for (NamedCsvRecord row : rows) {
          int line = (int) row.getStartingLineNumber() - 1;
          after = found && after == lines.size() ? line : after;
          found = says(row, figure);
          if (found) {
            first = line;
            after = lines.size();
          }
        }
      }
      lines.subList(first, after).clear();
      WholeFile.replace(file, String.join("\n", lines) + "\n");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static boolean says(NamedCsvRecord row, Figure figure) {
    try {
      return row.getField("symbol").strip().equals(figure.symbol())
          && row.getField("figure").strip().equals(figure.kind().word())
          && Double.parseDouble(row.getField("value")) == figure.shares()
          && row.getField("as_of").strip().equals(figure.asOf().toString())
          && row.findField("source").orElse("").strip().equals(figure.source());
    } catch (NumberFormatException e) {
      return false;
    }
  }

  /** Adds a figure; it counts when the folder is opened again. */
  public static void append(Path root, Figure figure) {
    Path file = root.resolve(NAME + ".csv");
    try {
      boolean fresh = !Files.exists(file);
      try (CsvWriter csv =
          CsvWriter.builder()
              .build(
                  Files.newBufferedWriter(
                      file,
                      StandardCharsets.UTF_8,
                      StandardOpenOption.CREATE,
                      StandardOpenOption.APPEND))) {
        if (fresh) {
          csv.writeRecord(COLUMNS);
        }
        csv.writeRecord(
            figure.symbol(),
            figure.kind().word(),
            BigDecimal.valueOf(figure.shares()).toPlainString(),
            figure.asOf().toString(),
            figure.source());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
