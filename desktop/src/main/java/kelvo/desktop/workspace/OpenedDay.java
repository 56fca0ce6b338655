package kelvo.desktop.workspace;

import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertScans;
import kelvo.check.CheckRule;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.feed.FeedAddress;
import kelvo.data.feed.FeedClient;
import kelvo.data.feed.LiveFeed;
import kelvo.data.feed.SessionRecorder;
import kelvo.data.fix.DropCopy;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.FolderLock;
import kelvo.data.ledger.KeptFills;
import kelvo.data.ledger.Ledger;
import kelvo.data.scanfile.ScanFolder;
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.player.SessionRun;
import kelvo.practice.PracticeDay;
import kelvo.refusal.RefusedException;
import kelvo.research.KeptQuestion;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.EarlierSessions;
import kelvo.session.Session;
import kelvo.setting.Settings;
import kelvo.universe.Figure;
import kelvo.universe.Universe;
import kelvo.watchlist.Watchlist;
import org.jspecify.annotations.Nullable;

/**
 * A session read from a data folder, with the ledger of its day: what a window opens. A recorded
 * one is yet to be played, one that goes on has been played as far as it goes.
 *
 * @param vocabulary the words that its rules may use
 * @param scanFolder where the trader's scans and universes are kept
 * @param watchlists the trader's own, besides the Ten
 * @param alerts what the trader wants to ring
 * @param ownRules what the trader keeps or breaks, a sentence each
 * @param questions of research that the trader has kept
 * @param mostKept how many symbols the Ten may hold
 * @param earlier the recorded sessions before it
 * @param feed brings what is still to come; null for a recorded session
 * @param dropCopy brings the trader's fills from the broker; null for none
 * @param practice what was done on paper in the session
 * @param settings what the trader has set for the folder
 * @param faults what could not be read, a sentence each
 * @param lock keeps other windows from writing to the folder; null when another one does, so that
 *     this one only reads
 */
public record OpenedDay(
    Session session,
    Vocabulary vocabulary,
    ScanFolder scanFolder,
    List<Universe> universes,
    List<Watchlist> watchlists,
    AlertBook alerts,
    List<Figure> figures,
    List<CheckRule> checks,
    List<String> ownRules,
    List<KeptQuestion> questions,
    int mostKept,
    List<Scan> scans,
    SessionRun run,
    EarlierSessions earlier,
    @Nullable LiveFeed feed,
    @Nullable DropCopy dropCopy,
    Ledger ledger,
    DayBook book,
    PracticeDay practice,
    Settings settings,
    List<String> faults,
    @Nullable FolderLock lock) {
  /** The ledger's name in a data folder. */
  public static final String LEDGER = "ledger.sqlite";

  private static final String HOLDER = "a window of Kelvo";
  private static final double READING = 0.75;
  private static final Duration LONGEST_SILENCE = Duration.ofSeconds(10);

  /** This day with another session, played by other scans, and a ledger of its own. */
  public OpenedDay with(Session other, List<Scan> looking, SessionRun played, Ledger kept) {
    return new OpenedDay(
        other,
        vocabulary,
        scanFolder,
        universes,
        List.of(),
        AlertBook.EMPTY,
        figures,
        checks,
        ownRules,
        questions,
        mostKept,
        looking,
        played,
        earlier,
        null,
        null,
        kept,
        DayBook.EMPTY,
        PracticeDay.EMPTY,
        settings,
        faults,
        lock);
  }

  /** Whether what the trader does is kept. */
  public boolean isWritable() {
    return lock != null;
  }

  /** Reads what has been recorded once more, so that the next opening maps its columns. */
  void keepColumns() {
    new DataFolder(scanFolder.root(), new ExchangeCalendar())
        .session(session.hours().date(), Progress.NONE);
  }

  /** Lets another window write to the folder. */
  public void release() {
    if (lock != null) {
      lock.close();
    }
  }

  /** Where a broker's drop copy listens, and the name that it goes by. */
  public record Broker(InetSocketAddress address, String name) {}

  /** Reads the newest day of a folder; not for the window's thread. */
  public static OpenedDay newest(Path folder, Progress progress) {
    List<LocalDate> dates = new DataFolder(folder, new ExchangeCalendar()).sessionDates();
    if (dates.isEmpty()) {
      throw new RefusedException(
          folder + " has no recorded session; expected a folder sessions/DATE with trades.csv");
    }
    return open(folder, dates.getLast(), progress);
  }

  /** Reads a day; not for the window's thread. */
  public static OpenedDay open(Path folder, LocalDate date, Progress progress) {
    DataFolder data = new DataFolder(folder, new ExchangeCalendar());
    if (!data.openDates().contains(date)) {
      throw new NoSuchSession(folder, date, data.sessionDates());
    }
    Opening opening = new Opening();
    FolderLock lock = FolderLock.of(folder, HOLDER).map(opening::opens).orElse(null);
    try {
      Session session = data.session(date, progress);
      progress.step("scans, levels and fills");
      Kept kept = Kept.in(folder, date, data, lock, opening);
      SessionRun run = SessionRun.unplayed(session, kept.program());
      return kept.opened(session, run, null, null, data);
    } catch (RuntimeException | Error e) {
      opening.fail(e);
      throw e;
    }
  }

  /**
   * Asks a feed for its date, then reads and plays what the folder has of it so far; not for the
   * window's thread.
   *
   * @param broker null for none
   * @throws RefusedException when the feed refuses or the folder lists no securities
   * @throws IllegalStateException when no feed answers, or another window writes to the folder
   */
  public static OpenedDay live(
      FeedAddress address, Path folder, @Nullable Broker broker, Progress progress) {
    LocalDate date = FeedClient.sessionServed(address, LONGEST_SILENCE);
    Opening opening = new Opening();
    FolderLock lock =
        FolderLock.of(folder, HOLDER)
            .map(opening::opens)
            .orElseThrow(() -> new RefusedException(FolderLock.whyNot(folder)));
    try {
      DataFolder data = new DataFolder(folder, new ExchangeCalendar());
      if (data.securities().isEmpty()) {
        throw new RefusedException(
            folder + " lists no securities; put a securities.csv there (docs/formats.md)");
      }
      SessionRecorder recorder = opening.opens(new SessionRecorder(folder, date));
      Session session = data.session(date, progress.within(0, READING));
      Kept kept = Kept.in(folder, date, data, lock, opening);
      progress.step("playing the session up to now");
      SessionRun run = SessionRun.begun(session, kept.program(), progress.within(READING, 1));
      DropCopy dropCopy =
          broker == null ? null : new DropCopy(broker.address(), broker.name(), date);
      LiveFeed feed =
          new LiveFeed(address, session, recorder, data.newsSources(), data.feedFills(date));
      return kept.opened(session, run, feed, dropCopy, data);
    } catch (RuntimeException | Error e) {
      opening.fail(e);
      throw e;
    }
  }

  /** Closes what was opened, when no window comes of it. */
  public void abandon(Throwable why) {
    Opening opening = new Opening();
    if (lock != null) {
      opening.opens(lock);
    }
    opening.opens(ledger);
    if (feed != null) {
      opening.opens(feed);
    }
    if (dropCopy != null) {
      opening.opens(dropCopy);
    }
    opening.fail(why);
  }

  /** What a folder keeps of the trader's own. */
  private record Kept(
      Vocabulary vocabulary,
      ScanFolder folder,
      LocalDate date,
      List<Universe> universes,
      List<Watchlist> watchlists,
      AlertBook alerts,
      List<CheckRule> checks,
      List<String> ownRules,
      List<KeptQuestion> questions,
      int mostKept,
      List<Scan> scans,
      Ledger ledger,
      DayBook book,
      PracticeDay practice,
      List<String> problems,
      @Nullable FolderLock lock) {
    static Kept in(
        Path folder, LocalDate date, DataFolder data, @Nullable FolderLock lock, Opening opening) {
      Vocabulary vocabulary = data.vocabulary();
      Path file = folder.resolve(LEDGER);
      Ledger ledger = opening.opens(lock == null ? Ledger.readOnly(file) : Ledger.open(file));
      ledger.addFills(date, data.fills(date));
      List<String> problems = new ArrayList<>();
      if (!ledger.awaitSaved()) {
        problems.add(ledger.failure());
      }
      ScanFolder scans = new ScanFolder(folder, vocabulary, problems::add, lock != null);
      List<Universe> universes = scans.universes();
      DayBook book = KeptFills.of(ledger, data, date);
      PracticeDay practice = ledger.practice(date);
      problems.addAll(ledger.unknownEntries());
      return new Kept(
          vocabulary,
          scans,
          date,
          universes,
          scans.watchlists(),
          scans.alerts(),
          scans.checks(),
          scans.ownRules(),
          scans.questions(),
          scans.mostKept(),
          scans.scans(universes),
          ledger,
          book,
          practice,
          problems,
          lock);
    }

    OpenedDay opened(
        Session session,
        SessionRun run,
        @Nullable LiveFeed feed,
        @Nullable DropCopy dropCopy,
        DataFolder data) {
      List<String> faults = new ArrayList<>(data.faultSentences());
      faults.addAll(problems);
      return new OpenedDay(
          session,
          vocabulary,
          folder,
          universes,
          watchlists,
          alerts,
          data.figures(),
          checks,
          ownRules,
          questions,
          mostKept,
          scans,
          run,
          data.sessionsBefore(session.hours().date()),
          feed,
          dropCopy,
          ledger,
          book,
          practice,
          data.settings(),
          List.copyOf(faults),
          lock);
    }

    Program program() {
      return new Program(
          scans, book.levels(), AlertScans.on(date, watchlists, book, scans).of(alerts.alerts()));
    }
  }
}
