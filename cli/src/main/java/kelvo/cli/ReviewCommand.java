package kelvo.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.Callable;
import kelvo.data.ledger.KeptFills;
import kelvo.data.ledger.Ledger;
import kelvo.data.report.ReviewTables;
import kelvo.data.timing.Timeline;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.player.SessionRun;
import kelvo.review.DayReview;
import kelvo.review.ReviewSettings;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/**
 * {@code kelvo review}: hits held against the trades really taken, the same as the Review stage.
 */
@Command(name = "review", description = "Holds a session's hits against the trades really taken.")
final class ReviewCommand implements Callable<Integer> {
  @Mixin final FolderArguments arguments;

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

  ReviewCommand(Terminal terminal) {
    arguments = new FolderArguments(terminal);
  }

  @Override
  public Integer call() {
    Timeline timeline = Timeline.sinceStart(arguments.terminal().err());
    List<Scan> scans = arguments.scans();
    timeline.done("scans");
    Session session = arguments.session();
    timeline.done("session");
    DayBook book = book();
    ReviewSettings settings = arguments.data().settings().review();
    arguments.tellFaults();
    timeline.done("ledger and fills");
    SessionRun run =
        SessionRun.unplayed(
            session, new Program(scans, book.levels(), arguments.alerts(book, scans)));
    timeline.done("set-up");
    run.playToEnd(Progress.NONE);
    timeline.done("playing");
    DayReview review = DayReview.of(session, scans, run.hits(), book, settings, DayTime.LAST);
    timeline.done("review");
    if (out == null) {
      arguments.output.print(
          ReviewTables.TRADE_COLUMNS, ReviewTables.trades(review, arguments.date()));
    } else {
      writeAll(out, review);
    }
    arguments.terminal().err().println(settings.words());
    tellFillsLeftOut(review);
    review.beforeRecord().forEach(fill -> arguments.terminal().err().println(opened(fill)));
    timeline.done("output");
    return arguments.exitCode();
  }

  private void tellFillsLeftOut(DayReview review) {
    List<String> symbols = arguments.data().fillsLeftOut();
    if (symbols.isEmpty()) {
      return;
    }
    long trades =
        review.trades().stream().filter(trade -> symbols.contains(trade.trade().symbol())).count();
    arguments
        .terminal()
        .err()
        .println(
            (symbols.size() == 1 ? "1 line of fills was" : symbols.size() + " lines of fills were")
                + " left out; "
                + (trades == 1 ? "1 trade in their symbols" : trades + " trades in their symbols")
                + " may lack what they say.");
  }

  private static String opened(Fill fill) {
    return fill.symbol()
        + ": "
        + fill.side().word()
        + " "
        + fill.quantity().toPlainString()
        + " at "
        + DayTime.seconds(Math.floorMod(fill.at(), DayTime.DAY))
        + " closes what was opened before the record; add the fills that opened it to fills.csv";
  }

  /**
   * What the folder's ledger knows of the day and the folder's own fills, as a window has them; or
   * the fills of a file in place of all others.
   */
  private DayBook book() {
    LocalDate date = arguments.date();
    try (Ledger ledger = Ledger.readOnly(arguments.folder.resolve(OpenedDay.LEDGER))) {
      DayBook kept = ledger.day(date);
      return fills == null
          ? KeptFills.of(ledger, arguments.data(), date)
          : KeptFills.of(kept, arguments.data(), arguments.data().fills(fills), date);
    }
  }

  private void writeAll(Path folder, DayReview review) {
    try {
      Files.createDirectories(folder);
      arguments.output.write(
          folder.resolve("trades.csv"),
          ReviewTables.TRADE_COLUMNS,
          ReviewTables.trades(review, arguments.date()));
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
