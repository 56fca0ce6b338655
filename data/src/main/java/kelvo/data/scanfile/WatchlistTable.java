package kelvo.data.scanfile;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import kelvo.data.file.SpreadsheetCell;
import kelvo.refusal.RefusedException;
import kelvo.watchlist.Mark;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/** A watchlist as CSV for a spreadsheet, and back from any table with a column of symbols. */
public final class WatchlistTable {
  private static final String[] COLUMNS = {"symbol", "section", "until", "mark", "note"};

  private WatchlistTable() {}

  /**
   * Writes a list.
   *
   * @throws UncheckedIOException when it cannot be written
   */
  public static void write(Path file, Watchlist list) {
    try (CsvWriter csv = CsvWriter.builder().build(file, StandardCharsets.UTF_8)) {
      csv.writeRecord(COLUMNS);
      for (Watchlist.Entry entry : list.entries()) {
        csv.writeRecord(
            entry.symbol(),
            SpreadsheetCell.of(entry.section()),
            entry.until() == null ? "" : entry.until().toString(),
            entry.mark().words(),
            SpreadsheetCell.of(entry.note()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * A list with the rows of a table besides its own; a row of a symbol that it holds counts in
   * place of what it has. Of the columns only "symbol" must be there.
   *
   * @throws RefusedException when a row is wrong; the message has the file and the line
   * @throws UncheckedIOException when it cannot be read
   */
  public static Watchlist with(Watchlist list, Path file) {
    List<Watchlist.Entry> entries = new ArrayList<>(list.entries());
    try (CsvReader<NamedCsvRecord> csv = CsvReader.builder().ofNamedCsvRecord(file);
        Stream<NamedCsvRecord> rows = csv.stream()) {
      rows.forEach(
          row -> {
            Watchlist.Entry read = entry(file, row);
            int known =
                entries.stream().map(Watchlist.Entry::symbol).toList().indexOf(read.symbol());
            if (known >= 0) {
              entries.set(known, read);
            } else if (!read.symbol().isEmpty()) {
              entries.add(read);
            }
          });
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return list.holding(entries);
  }

  private static Watchlist.Entry entry(Path file, NamedCsvRecord row) {
    String place = file.getFileName() + ", line " + row.getStartingLineNumber() + ": ";
    String symbol =
        row.findField("symbol")
            .orElseThrow(
                () -> new RefusedException(place + "expected a column \"symbol\" in line 1"));
    try {
      return new Watchlist.Entry(
          symbol.strip().toUpperCase(Locale.ROOT),
          until(row.findField("until").orElse("")),
          SpreadsheetCell.text(row.findField("section").orElse("").strip()),
          Mark.of(row.findField("mark").orElse("").strip()),
          SpreadsheetCell.text(row.findField("note").orElse("")));
    } catch (RefusedException e) {
      throw new RefusedException(place + e.getMessage(), e);
    }
  }

  private static @Nullable LocalDate until(String text) {
    try {
      return text.isBlank() ? null : LocalDate.parse(text.strip());
    } catch (DateTimeException e) {
      throw new RefusedException(
          "until: expected a date such as 2031-03-12, found \"" + text + "\"", e);
    }
  }
}
