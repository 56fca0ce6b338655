package kelvo.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.shell.OpenedDay;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.session.Session;
import kelvo.review.DayReview;
import kelvo.review.ReviewSettings;
import kelvo.scan.Scan;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.journal.DayBook;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * {@code kelvo review}: hits held against the trades really taken, the same as the Review stage.
 */
@Command(name = "review", description = "Holds a session's hits against the trades really taken.")
final class ReviewCommand implements Callable<Integer> {
  @Mixin FolderArguments arguments = new FolderArguments();

  @Option(
      names = "--fills",
      paramLabel = "FILE",
      description = "a CSV of fills; the folder's own if not given")
  @Nullable Path fills;

  @Option(
      names = "--out",
      paramLabel = "FOLDER",
      description = "write trades.csv, moves.csv and scans.csv there")
  @Nullable Path out;

  @Override
  public Integer call() {
    List<Scan> scans = arguments.scans();
    Session session = arguments.session();
    DayBook book =
        book(
            fills == null
                ? arguments.data().fills(arguments.date())
                : arguments.data().fills(fills, arguments.date()));
    SessionRun run = SessionRun.of(session, new Program(scans, List.of()), Progress.NONE);
    DayReview review =
        DayReview.of(session, scans, run.hits(), book, ReviewSettings.USUAL, DayTime.LAST);
    if (out == null) {
      arguments.output.print(ReviewTables.TRADE_COLUMNS, ReviewTables.trades(review));
    } else {
      writeAll(out, review);
    }
    System.err.println(ReviewSettings.USUAL.words());
    return arguments.exitCode();
  }

  /** What the folder's ledger knows of the day, with these fills. */
  private DayBook book(List<Fill> dayFills) {
    Path file = arguments.folder.resolve(OpenedDay.LEDGER);
    if (!Files.exists(file)) {
      return DayBook.EMPTY.withFills(dayFills);
    }
    try (Ledger ledger = Ledger.open(file)) {
      return ledger.day(arguments.date()).withFills(dayFills);
    }
  }

  private void writeAll(Path folder, DayReview review) {
    try {
      Files.createDirectories(folder);
      arguments.output.write(
          folder.resolve("trades.csv"), ReviewTables.TRADE_COLUMNS, ReviewTables.trades(review));
      arguments.output.write(
          folder.resolve("moves.csv"), ReviewTables.MOVE_COLUMNS, ReviewTables.moves(review));
      arguments.output.write(
          folder.resolve("scans.csv"), ReviewTables.SCAN_COLUMNS, ReviewTables.scans(review));
    } catch (IOException e) {
      throw new UncheckedIOException(
          "cannot write to " + folder + "; name a folder that can be written", e);
    }
  }
}
