package kelvo.data.scanfile;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import kelvo.data.file.SpreadsheetCell;
import kelvo.refusal.RefusedException;
import kelvo.session.Security;
import kelvo.session.Session;
import kelvo.universe.Membership;
import kelvo.universe.Universe;

/** A universe as CSV for a spreadsheet, and what was said by hand in one back from it. */
public final class UniverseTable {
  private static final String[] COLUMNS = {"symbol", "name", "in", "why_out", "by_hand"};
  private static final String ADDED = "added";
  private static final String EXCLUDED = "excluded";

  private UniverseTable() {}

  /** Writes every security of a session, whether it is in, and why not. */
  public static void write(Path file, Universe universe, Membership members, Session session) {
    try (CsvWriter csv = CsvWriter.builder().build(file, StandardCharsets.UTF_8)) {
      csv.writeRecord(COLUMNS);
      for (int i = 0; i < session.securities().size(); i++) {
        Security security = session.security(i).security();
        String symbol = security.symbol();
        csv.writeRecord(
            symbol,
            SpreadsheetCell.of(security.name()),
            members.contains(i) ? "yes" : "no",
            members.whyOut(i),
            universe.added().contains(symbol)
                ? ADDED
                : universe.excluded().contains(symbol) ? EXCLUDED : "");
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * What a table says by hand: the symbols of its column {@code by_hand}; in a table without one,
   * every symbol is added.
   *
   * @return the symbols under "added" and "excluded"
   * @throws RefusedException when there is no column "symbol"
   */
  private static Map<String, Set<String>> read(Path file) {
    Map<String, Set<String>> byHand =
        new TreeMap<>(Map.of(ADDED, new TreeSet<>(), EXCLUDED, new TreeSet<>()));
    try (CsvReader<NamedCsvRecord> csv = CsvReader.builder().ofNamedCsvRecord(file);
        Stream<NamedCsvRecord> rows = csv.stream()) {
      rows.forEach(
          row -> {
            String symbol =
                row.findField("symbol")
                    .orElseThrow(
                        () ->
                            new RefusedException(
                                file.getFileName() + ": expected a column \"symbol\" in line 1"));
            Set<String> said = byHand.get(row.findField("by_hand").orElse(ADDED));
            if (said != null && !symbol.isBlank()) {
              said.add(symbol.strip());
            }
          });
      return byHand;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The universe with what a table says by hand. */
  public static Universe with(Universe universe, Path file) {
    Map<String, Set<String>> byHand = read(file);
    return universe
        .adding(byHand.getOrDefault(ADDED, Set.of()))
        .excluding(byHand.getOrDefault(EXCLUDED, Set.of()));
  }
}
