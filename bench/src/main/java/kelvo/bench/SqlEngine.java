package kelvo.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.stream.Stream;

/** A process in which DuckDB reads every column of every table of a data folder once. */
final class SqlEngine {
  private static final List<String> FOLDERS = List.of("", "sessions/2031-03-12");

  private SqlEngine() {}

  /** Its argument is the folder. */
  public static void main(String[] args) throws IOException, SQLException {
    try (Connection duck = DriverManager.getConnection("jdbc:duckdb:");
        Statement statement = duck.createStatement()) {
      for (String folder : FOLDERS) {
        try (Stream<Path> files = Files.list(Path.of(args[0]).resolve(folder))) {
          for (Path table : files.filter(SqlEngine::isTable).toList()) {
            read(statement, table);
          }
        }
      }
    }
  }

  private static boolean isTable(Path file) {
    return file.toString().endsWith(".csv") || file.toString().endsWith(".csv.zst");
  }

  private static void read(Statement statement, Path table) throws SQLException {
    try (ResultSet sum =
        statement.executeQuery(
            "select count(*), bit_xor(hash(columns(*)::varchar)) from read_csv('"
                + table
                + "', header = true)")) {
      sum.next();
    }
  }
}
