package kelvo.data.folder;

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
import kelvo.universe.Figure;

/**
 * Floats and share counts put right by hand, with their source: figures.csv of a data folder. Only
 * added to, so that what was believed before stays readable; the last one of a security counts.
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
