package kelvo.data.fill;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import kelvo.refusal.RefusedException;

/**
 * A broker's table as it stands: a header and rows of text. What comes before the header, such as
 * the broker's name, is passed over.
 *
 * @param header the names of the columns
 * @param rows below it, in their order
 */
public record BrokerTable(List<String> header, List<Row> rows) {
  private static final String SEPARATORS = ",;\t|";
  private static final int LEAST_COLUMNS = 4;
  private static final char BYTE_ORDER_MARK = '\uFEFF';

  /**
   * A row.
   *
   * @param line where it begins in the text, from 1
   */
  public record Row(long line, List<String> cells) {
    public Row {
      cells = List.copyOf(cells);
    }

    /** What stands in a column; empty beyond the last. */
    public String cell(int column) {
      return column < cells.size() ? cells.get(column).strip() : "";
    }
  }

  public BrokerTable {
    header = List.copyOf(header);
    rows = List.copyOf(rows);
  }

  /**
   * A file's table.
   *
   * @throws RefusedException when it is no table; the message says why
   * @throws UncheckedIOException when it cannot be read
   */
  public static BrokerTable of(Path file) {
    try {
      return of(Files.readString(file));
    } catch (CharacterCodingException e) {
      try {
        return of(Files.readString(file, StandardCharsets.ISO_8859_1));
      } catch (IOException unreadable) {
        throw new UncheckedIOException(unreadable);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The table in a text, such as rows that were copied from a page.
   *
   * @throws RefusedException when there is none; the message says why
   */
  public static BrokerTable of(String text) {
    String plain = !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
    List<Row> all = new ArrayList<>();
    try (CsvReader<CsvRecord> csv =
        CsvReader.builder()
            .allowExtraFields(true)
            .allowMissingFields(true)
            .fieldSeparator(separator(plain))
            .ofCsvRecord(plain)) {
      for (CsvRecord row : csv) {
        all.add(new Row(row.getStartingLineNumber(), row.getFields()));
      }
    } catch (CsvParseException e) {
      throw new RefusedException("a quote is not closed, or a row is too long", e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    for (int i = 0; i < all.size(); i++) {
      List<String> cells = all.get(i).cells();
      if (cells.stream().filter(cell -> !cell.isBlank()).count() >= LEAST_COLUMNS) {
        return new BrokerTable(
            cells.stream().map(String::strip).toList(), all.subList(i + 1, all.size()));
      }
    }
    throw new RefusedException(
        "no line has the names of at least four columns; a table of fills needs time, symbol, quantity and price");
  }

  /** The sign that stands most often in the line that has most of any. */
  private static char separator(String text) {
    char best = SEPARATORS.charAt(0);
    long most = 0;
    for (String line : text.lines().limit(30).toList()) {
      for (char one : SEPARATORS.toCharArray()) {
        long count = line.chars().filter(c -> c == one).count();
        if (count > most) {
          most = count;
          best = one;
        }
      }
    }
    return best;
  }
}
