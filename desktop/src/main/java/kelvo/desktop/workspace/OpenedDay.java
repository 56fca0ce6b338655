package kelvo.desktop.workspace;

import java.net.InetSocketAddress;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kelvo.alert.AlertScans;
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
import kelvo.hit.Program;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.player.SessionRun;
import kelvo.practice.PracticeDay;
import kelvo.refusal.RefusedException;
import kelvo.scan.Scan;
import kelvo.session.EarlierSessions;
import kelvo.session.Session;
import org.jspecify.annotations.Nullable;

/**
 * A session read from a data folder, with the ledger of its day: what a window opens. A recorded
 * one is yet to be played, one that goes on has been played as far as it goes.
 *
 * @param market the session
 * @param files what the trader has written for the folder
 * @param connections what is held open
 * @param book what the trader did in the session
 * @param practice what was done on paper in it
 * @param faults what could not be read, a sentence each
 */
public record OpenedDay(
    MarketDay market,
    TraderFiles files,
    Connections connections,
    DayBook book,
    PracticeDay practice,
    List<String> faults) {
  /** The ledger's name in a data folder. */
  public static final String LEDGER = "ledger.sqlite";

  private static final String HOLDER = "a window of Kelvo";
  private static final double READING = 0.75;
  private static final Duration LONGEST_SILENCE = Duration.ofSeconds(10);

  /** This day with another session, played by other scans, and a ledger of its own. */
  public OpenedDay with(Session other, List<Scan> looking, SessionRun played, Ledger kept) {
    return new OpenedDay(
        new MarketDay(other, played, market.earlier()),
        files.lookingFor(looking),
        new Connections(kept, null, null, connections.lock()),
        DayBook.EMPTY,
        PracticeDay.EMPTY,
        faults);
  }

  /** The session. */
  public Session session() {
    return market.session();
  }

  /** The date of the session. */
  public LocalDate date() {
    return session().hours().date();
  }

  /** Reads what has been recorded once more, so that the next opening maps its columns. */
  void keepColumns() {
    new DataFolder(files.folder().root(), new ExchangeCalendar()).session(date(), Progress.NONE);
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
      SessionRun run = SessionRun.unplayed(session, kept.program(date));
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
   * @throws RefusedException when the feed refuses or does not answer, the folder lists no
   *     securities, or another window writes to it
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
      SessionRun run = SessionRun.begun(session, kept.program(date), progress.within(READING, 1));
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
    connections.abandon(why);
  }

  /** What a folder keeps of the trader's own, with what was found wrong with it. */
  private record Kept(
      TraderFiles files,
      Ledger ledger,
      @Nullable FolderLock lock,
      DayBook book,
      PracticeDay practice,
      List<String> problems) {
    static Kept in(
        Path folder, LocalDate date, DataFolder data, @Nullable FolderLock lock, Opening opening) {
      Path file = folder.resolve(LEDGER);
      Ledger ledger = opening.opens(lock == null ? Ledger.readOnly(file) : Ledger.open(file));
      ledger.addFills(date, data.fills(date));
      List<String> problems = new ArrayList<>();
      if (!ledger.awaitSaved()) {
        problems.add(ledger.failure());
      }
      TraderFiles files = TraderFiles.read(folder, data, lock != null, problems::add);
      DayBook book = KeptFills.of(ledger, data, date);
      PracticeDay practice = ledger.practice(date);
      problems.addAll(ledger.unknownEntries());
      return new Kept(files, ledger, lock, book, practice, problems);
    }

    OpenedDay opened(
        Session session,
        SessionRun run,
        @Nullable LiveFeed feed,
        @Nullable DropCopy dropCopy,
        DataFolder data) {
      EarlierSessions earlier = data.sessionsBefore(session.hours().date());
      List<String> faults = new ArrayList<>(data.faultSentences());
      faults.addAll(problems);
      return new OpenedDay(
          new MarketDay(session, run, earlier),
          files,
          new Connections(ledger, feed, dropCopy, lock),
          book,
          practice,
          List.copyOf(faults));
    }

    Program program(LocalDate date) {
      List<Scan> scans = files.scans().inUse();
      TraderFiles.Lists lists = files.lists();
      return new Program(
          scans,
          book.levels(),
          AlertScans.on(date, lists.watchlists(), book, scans).of(lists.alerts().alerts()));
    }
  }
}
