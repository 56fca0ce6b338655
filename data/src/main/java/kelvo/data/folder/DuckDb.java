package kelvo.data.folder;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;

/** Opens DuckDB in memory: it reads and writes Parquet, and adds up large tables. */
final class DuckDb {
  private DuckDb() {}

  /** A database of its own, gone when it is closed. */
  static Connection open() throws SQLException {
    Properties settings = new Properties();
    settings.setProperty("jdbc_stream_results", "true");
    settings.setProperty("threads", "2");
    settings.setProperty("memory_limit", "1GB");
    settings.setProperty("autoinstall_known_extensions", "false");
    return DriverManager.getConnection("jdbc:duckdb:", settings);
  }

  /** A CSV or Parquet file as a table of SQL; what a CSV file holds are texts. */
  static String table(Path file) {
    String quoted = quoted(file.toString());
    return file.toString().endsWith(".parquet")
        ? "read_parquet(" + quoted + ")"
        : "read_csv(" + quoted + ", header = true, all_varchar = true, null_padding = true)";
  }

  /** A text as a literal of SQL. */
  static String quoted(String text) {
    return "'" + text.replace("'", "''") + "'";
  }
}
