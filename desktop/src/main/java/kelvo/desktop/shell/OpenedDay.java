package kelvo.desktop.shell;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.Fault;
import kelvo.data.ledger.Ledger;
import kelvo.data.scanfile.ScanFile;
import kelvo.engine.Program;
import kelvo.engine.Progress;
import kelvo.engine.SessionRun;
import kelvo.market.Session;
import kelvo.scan.Scan;
import kelvo.time.Phases;
import kelvo.watch.DayBook;

/**
 * A session read from a data folder and played once, with the ledger of its day: what a window
 * opens.
 *
 * @param faults what could not be read
 */
public record OpenedDay(
    Session session,
    List<Scan> scans,
    SessionRun run,
    Ledger ledger,
    DayBook book,
    List<Fault> faults) {
  /** The ledger's name in a data folder. */
  public static final String LEDGER = "ledger.sqlite";

  private static final double READING = 0.75;

  /** Reads and plays a day; not for the window's thread. */
  public static OpenedDay open(Path folder, LocalDate date, Progress progress) {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    if (!data.sessionDates().contains(date)) {
      throw new IllegalArgumentException(
          folder + " has no session of " + date + "; there are " + data.sessionDates());
    }
    Session session = data.session(date, part -> progress.done(part * READING));
    List<Scan> own = ScanFile.readAll(folder.resolve("scans"), Phases.USUAL);
    List<Scan> scans = own.isEmpty() ? ScanFile.shipped(Phases.USUAL) : own;
    Ledger ledger = Ledger.open(folder.resolve(LEDGER));
    ledger.addFills(date, data.fills(date));
    ledger.awaitSaved();
    DayBook book = ledger.day(date);
    SessionRun run =
        SessionRun.of(
            session,
            new Program(scans, book.levels()),
            part -> progress.done(READING + part * (1 - READING)));
    return new OpenedDay(session, scans, run, ledger, book, data.faults());
  }
}
