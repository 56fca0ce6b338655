package kelvo.desktop.shell;

import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.LiveFeed;
import kelvo.data.feed.SessionRecorder;
import kelvo.data.fix.DropCopy;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.Fault;
import kelvo.data.ledger.Ledger;
import kelvo.data.scanfile.ScanFolder;
import kelvo.session.EarlierSessions;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.player.SessionRun;
import kelvo.session.Session;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.trade.Fill;
import kelvo.universe.Figure;
import kelvo.universe.Universe;
import kelvo.check.CheckRule;
import kelvo.journal.DayBook;
import org.jspecify.annotations.Nullable;

/**
 * A session read from a data folder and played as far as it goes, with the ledger of its day: what
 * a window opens.
 *
 * @param vocabulary the words that its rules may use
 * @param scanFolder where the trader's scans and universes are kept
 * @param mostKept how many symbols the Ten may hold
 * @param earlier the recorded sessions before it
 * @param feed brings what is still to come; null for a recorded session
 * @param dropCopy brings the trader's fills from the broker; null for none
 * @param faults what could not be read, a sentence each
 */
public record OpenedDay(
    Session session,
    Vocabulary vocabulary,
    ScanFolder scanFolder,
    List<Universe> universes,
    List<Figure> figures,
    List<CheckRule> checks,
    int mostKept,
    List<Scan> scans,
    SessionRun run,
    EarlierSessions earlier,
    @Nullable LiveFeed feed,
    @Nullable DropCopy dropCopy,
    Ledger ledger,
    DayBook book,
    List<String> faults) {
  /** The ledger's name in a data folder. */
  public static final String LEDGER = "ledger.sqlite";

  private static final double READING = 0.75;
  private static final Duration LONGEST_SILENCE = Duration.ofSeconds(10);

  /** Where a broker's drop copy listens, and the name that it goes by. */
  public record Broker(InetSocketAddress address, String name) {}

  /** Reads and plays a day; not for the window's thread. */
  public static OpenedDay open(Path folder, LocalDate date, Progress progress) {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    if (!data.sessionDates().contains(date)) {
      throw new IllegalArgumentException(
          folder + " has no session of " + date + "; there are " + data.sessionDates());
    }
    Session session = data.session(date, part -> progress.done(part * READING));
    Kept kept = Kept.in(folder, date, data.fills(date), Vocabulary.of(data.securities()));
    SessionRun run = SessionRun.of(session, kept.program(), playing(progress));
    return kept.opened(session, run, null, null, data);
  }

  /**
   * Asks a feed for its date, then reads and plays what the folder has of it so far; not for the
   * window's thread.
   *
   * @param broker null for none
   * @throws IllegalArgumentException when the feed refuses or the folder lists no securities
   * @throws IllegalStateException when no feed answers
   */
  public static OpenedDay live(
      FeedAddress address, Path folder, @Nullable Broker broker, Progress progress) {
    LocalDate date = FeedClient.sessionServed(address, LONGEST_SILENCE);
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    SessionRecorder recorder = new SessionRecorder(folder, date);
    Session session = data.session(date, part -> progress.done(part * READING));
    if (session.securities().isEmpty()) {
      recorder.close();
      throw new IllegalArgumentException(
          folder + " lists no securities; put a securities.csv there (docs/formats.md)");
    }
    Kept kept = Kept.in(folder, date, data.fills(date), Vocabulary.of(data.securities()));
    SessionRun run = SessionRun.begun(session, kept.program(), playing(progress));
    LiveFeed feed =
        new LiveFeed(address, session, recorder, data.newsSources(), data.feedFills(date));
    DropCopy dropCopy = broker == null ? null : new DropCopy(broker.address(), broker.name(), date);
    return kept.opened(session, run, feed, dropCopy, data);
  }

  private static Progress playing(Progress progress) {
    return part -> progress.done(READING + part * (1 - READING));
  }

  /** What a folder keeps of the trader's own. */
  private record Kept(
      Vocabulary vocabulary,
      ScanFolder folder,
      List<Universe> universes,
      List<CheckRule> checks,
      int mostKept,
      List<Scan> scans,
      Ledger ledger,
      DayBook book,
      List<String> problems) {
    static Kept in(Path folder, LocalDate date, List<Fill> fills, Vocabulary vocabulary) {
      Ledger ledger = Ledger.open(folder.resolve(LEDGER));
      ledger.addFills(date, fills);
      ledger.awaitSaved();
      List<String> problems = new ArrayList<>();
      ScanFolder scans = new ScanFolder(folder, vocabulary, problems::add);
      List<Universe> universes = scans.universes();
      return new Kept(
          vocabulary,
          scans,
          universes,
          scans.checks(),
          scans.mostKept(),
          scans.scans(universes),
          ledger,
          ledger.day(date),
          problems);
    }

    OpenedDay opened(
        Session session,
        SessionRun run,
        @Nullable LiveFeed feed,
        @Nullable DropCopy dropCopy,
        DataFolder data) {
      List<String> faults = new ArrayList<>(data.faults().stream().map(Fault::sentence).toList());
      faults.addAll(problems);
      return new OpenedDay(
          session,
          vocabulary,
          folder,
          universes,
          data.figures(),
          checks,
          mostKept,
          scans,
          run,
          data.sessionsBefore(session.hours().date()),
          feed,
          dropCopy,
          ledger,
          book,
          List.copyOf(faults));
    }

    Program program() {
      return new Program(scans, book.levels());
    }
  }
}
