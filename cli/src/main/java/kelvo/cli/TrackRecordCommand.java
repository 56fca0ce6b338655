package kelvo.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import kelvo.data.report.CsvTables;
import kelvo.data.report.TrackRecordTables;
import kelvo.review.TradeGrouping;
import kelvo.trackrecord.TrackRecord;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code kelvo trackrecord}: several sessions reviewed together, the same as Review's Sessions. */
@Command(name = "trackrecord", description = "Reviews several sessions together.")
final class TrackRecordCommand implements Callable<Integer> {
  @Mixin final FolderArguments arguments;

  @Mixin RecordedSessions sessions = new RecordedSessions();

  @Option(
      names = "--by",
      paramLabel = "WHAT",
      description = "group trades by one of: ${COMPLETION-CANDIDATES}; scan if not given")
  TradeGrouping by = TradeGrouping.SCAN;

  @Option(names = "--account", paramLabel = "A", description = "only trades of this account")
  @Nullable String account;

  @Option(names = "--tag", paramLabel = "T", description = "only trades with this tag")
  @Nullable String tag;

  @Option(
      names = "--out",
      paramLabel = "FOLDER",
      description =
          "write sessions.csv, trades.csv, scans.csv, alerts.csv, groups.csv and equity.csv"
              + " there")
  @Nullable Path out;

  TrackRecordCommand(Terminal terminal) {
    arguments = new FolderArguments(terminal);
  }

  @Override
  public Integer call() {
    TextProgress progress = new TextProgress(arguments.terminal(), "Reviewing sessions");
    TrackRecord all = arguments.past(past -> sessions.reviewed(arguments, past, progress));
    TrackRecord ofAccount = account == null ? all : all.ofAccount(account);
    TrackRecord record = tag == null ? ofAccount : ofAccount.tagged(tag);
    arguments.tellFaults();
    if (out == null) {
      arguments.output.print(TrackRecordTables.GROUP_COLUMNS, TrackRecordTables.groups(record, by));
    } else {
      writeAll(out, record);
    }
    arguments.terminal().err().println(arguments.data().settings().review().words());
    return arguments.exitCode();
  }

  private void writeAll(Path folder, TrackRecord record) {
    try {
      CsvTables.write(folder, record, by);
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot write to " + folder + "; name a folder that can be written", e);
    }
  }
}
