package kelvo.data.folder;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** Reads a Parquet file as rows of text, the header first, so that CSV and Parquet read alike. */
final class ParquetRows {
  private static final String UTC_TIME = "%Y-%m-%dT%H:%M:%S.%gZ";

  private ParquetRows() {}

  /**
   * Hands every row to the taker until it refuses one.
   *
   * @param row the object that stands for each row in turn
   * @throws SQLException when it is no whole Parquet file
   */
  static void read(Path path, TableRow row, Predicate<TableRow> taker) throws SQLException {
    try (Connection duck = DuckDb.open();
        Statement statement = duck.createStatement();
        ResultSet rows = statement.executeQuery("select " + texts(duck, path) + source(path))) {
      ResultSetMetaData header = rows.getMetaData();
      int columns = header.getColumnCount();
      row.begin(1);
      for (int i = 1; i <= columns; i++) {
        row.add(header.getColumnLabel(i));
      }
      boolean wanted = taker.test(row);
      for (long number = 2; wanted && rows.next(); number++) {
        row.begin(number);
        for (int i = 1; i <= columns; i++) {
          String text = rows.getString(i);
          row.add(text == null ? "" : text);
        }
        wanted = taker.test(row);
      }
    }
  }

  private static String source(Path path) {
    return " from read_parquet(" + DuckDb.quoted(path.toString()) + ")";
  }

  /** Every column as the text that a CSV file would have. */
  private static String texts(Connection duck, Path path) throws SQLException {
    List<String> texts = new ArrayList<>();
    try (Statement statement = duck.createStatement();
        ResultSet columns = statement.executeQuery("describe select *" + source(path))) {
      while (columns.next()) {
        String name = "\"" + columns.getString(1).replace("\"", "\"\"") + "\"";
        String type = columns.getString(2);
        String text =
            type.equals("TIMESTAMP WITH TIME ZONE")
                ? "strftime(" + name + " at time zone 'UTC', '" + UTC_TIME + "')"
                : "cast(" + name + " as varchar)";
        texts.add(text + " as " + name);
      }
    }
    return String.join(", ", texts);
  }
}
