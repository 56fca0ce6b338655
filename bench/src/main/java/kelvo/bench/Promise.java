package kelvo.bench;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * A ratio that docs/performance.md promises; more is better.
 *
 * @param key by which a measurement finds it
 * @param what what over what
 * @param ratio what is promised
 */
record Promise(String key, String what, double ratio) {
  private static final double FLOOR = 2.0 / 3;

  /** All of them, from {@code docs/promises.csv} of the project's folder. */
  static List<Promise> all(Path project) throws IOException {
    Path file = project.resolve("docs/promises.csv");
    try (CsvReader<NamedCsvRecord> rows = CsvReader.builder().ofNamedCsvRecord(file)) {
      return rows.stream()
          .map(
              row ->
                  new Promise(
                      row.getField("key"),
                      row.getField("what"),
                      Double.parseDouble(row.getField("ratio"))))
          .toList();
    }
  }

  /** The least that may be measured. */
  double floor() {
    return ratio * FLOOR;
  }

  /** One line about what was measured. */
  String said(Rounds measured) {
    return String.format(
        Locale.ROOT,
        "%s: %.3f (%.3f to %.3f in %d rounds), promised %.3f, at least %.3f%s",
        what,
        measured.median(),
        measured.low(),
        measured.high(),
        measured.count(),
        ratio,
        floor(),
        measured.median() < floor() ? " -- BELOW" : "");
  }
}
