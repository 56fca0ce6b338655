package kelvo.data.report;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import kelvo.data.file.SpreadsheetCell;
import kelvo.data.file.WholeFile;
import kelvo.review.TradeGrouping;
import kelvo.trackrecord.TrackRecord;

/** A track record as CSV files in a folder, as docs/formats.md describes them. */
public final class CsvTables {
  private CsvTables() {}

  /**
   * Writes them.
   *
   * @param by what the groups have in common
   * @throws IOException when the folder cannot be written
   */
  public static void write(Path folder, TrackRecord record, TradeGrouping by) throws IOException {
    Files.createDirectories(folder);
    write(
        folder.resolve("sessions.csv"),
        TrackRecordTables.SESSION_COLUMNS,
        TrackRecordTables.sessions(record));
    write(
        folder.resolve("trades.csv"),
        TrackRecordTables.tradeColumns(),
        TrackRecordTables.trades(record));
    write(
        folder.resolve("scans.csv"), ReviewTables.SCAN_COLUMNS, ReviewTables.scans(record.scans()));
    write(
        folder.resolve("alerts.csv"),
        ReviewTables.SCAN_COLUMNS,
        ReviewTables.scans(record.alerts()));
    write(
        folder.resolve("groups.csv"),
        TrackRecordTables.GROUP_COLUMNS,
        TrackRecordTables.groups(record, by));
    write(
        folder.resolve("equity.csv"),
        TrackRecordTables.EQUITY_COLUMNS,
        TrackRecordTables.equity(record));
  }

  private static void write(Path file, List<String> columns, List<List<String>> rows)
      throws IOException {
    WholeFile.replaceForOwner(
        file,
        out -> {
          CsvWriter csv =
              CsvWriter.builder().build(new OutputStreamWriter(out, StandardCharsets.UTF_8));
          csv.writeRecord(columns);
          rows.forEach(row -> csv.writeRecord(row.stream().map(SpreadsheetCell::of).toList()));
          csv.flush();
        });
  }
}
