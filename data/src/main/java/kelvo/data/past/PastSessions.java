package kelvo.data.past;

import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import kelvo.chart.MinuteBars;
import kelvo.data.calendar.ExchangeCalendar;
import kelvo.data.folder.DataFolder;
import kelvo.data.folder.ResearchData;
import kelvo.data.ledger.KeptFills;
import kelvo.data.ledger.Ledger;
import kelvo.data.scanfile.ScanFile;
import kelvo.history.MinuteBar;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.job.Once;
import kelvo.job.Progress;
import kelvo.job.SideBySide;
import kelvo.journal.DayBook;
import kelvo.player.SessionRun;
import kelvo.refusal.RefusedException;
import kelvo.research.Question;
import kelvo.research.RecordSheet;
import kelvo.research.ResearchCase;
import kelvo.research.SessionCases;
import kelvo.research.UsualSpreads;
import kelvo.research.bars.BarCases;
import kelvo.research.bars.BarSession;
import kelvo.review.DayReview;
import kelvo.review.DecisionReview;
import kelvo.review.ReviewSettings;
import kelvo.review.WhatIf;
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trackrecord.CalendarDay;
import kelvo.trackrecord.PastReview;
import kelvo.trade.RoundTrips;
import kelvo.trade.Trade;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The sessions of a data folder that are over. Each is read and played when it is first asked for;
 * its hits are kept in memory, so that other settings, other words of the trader and other scans
 * beside it need no second play. All methods may be called from any thread, but not from the
 * window's.
 */
public final class PastSessions {
  private static final Logger LOG = LoggerFactory.getLogger(PastSessions.class);

  /** Two questions are held against each other, and one comes before the next. */
  private static final int ANSWERS_KEPT = 3;

  /** Sessions of a year; what is kept of one is up to a megabyte of hits. */
  private static final int YEAR = 252;

  /** Sessions of minute bars; what is kept of one is up to two megabytes. */
  private static final int HALF_YEAR = YEAR / 2;

  /** How the name of a session's table begins. */
  private static final String SESSIONS = "sessions/";

  private final Path root;
  private final Ledger ledger;
  private final Vocabulary vocabulary;

  /** By date: what was played last. */
  private final KeptByDate<Played> played = new KeptByDate<>(YEAR);

  /** By date: the scan that was played alone last. */
  private final KeptByDate<PlayedAlone> asTheyWere = new KeptByDate<>(YEAR);

  /** By date: what was asked last for research, the newest first. */
  private final KeptByDate<List<Answered>> answered = new KeptByDate<>(4 * YEAR);

  /** By date: a session of minute bars, with what was asked of its securities. */
  private final KeptByDate<BarSession> barSessions = new KeptByDate<>(HALF_YEAR);

  /** By date: what was wrong with the session when it was read last. */
  private final Map<LocalDate, List<String>> faults = new ConcurrentHashMap<>();

  /** What was wrong with the tables beside the sessions when they were asked last. */
  private volatile List<String> otherFaults = List.of();

  /**
   * What a question is answered from.
   *
   * @param before daily bars from this day on are not looked at
   * @param recorded the sessions with prints: they tell the usual spreads, and one that had only
   *     minute bars before is answered from its prints once it is among them
   */
  private record Asked(Question question, LocalDate before, Set<LocalDate> recorded) {}

  private record Answered(Asked asked, List<ResearchCase> cases) {}

  private record Played(Program program, List<Hit> hits) {}

  private record PlayedAlone(Scan scan, DayBook book, ReviewSettings settings, DayReview review) {
    boolean isOf(Scan asked, DayBook known, ReviewSettings by) {
      return scan.equals(asked) && book.equals(known) && settings.equals(by);
    }
  }

  /**
   * The sessions of a folder.
   *
   * @param vocabulary the words that scans of before may use
   */
  public PastSessions(Path root, Ledger ledger, Vocabulary vocabulary) {
    this.root = root;
    this.ledger = ledger;
    this.vocabulary = vocabulary;
  }

  private DataFolder data() {
    return new DataFolder(root, new ExchangeCalendar());
  }

  /** The dates that can be opened: recorded ones, and those of minute bars, oldest first. */
  public List<LocalDate> openDates() {
    return data().openDates();
  }

  /** The dates that were recorded, oldest first. */
  public List<LocalDate> recorded() {
    return data().sessionDates();
  }

  /**
   * What a calendar says at a moment of every date that can be opened or was traded, by date: of
   * later dates nothing but that they can be opened.
   *
   * @param now the moment of the day {@code today}
   */
  public List<CalendarDay> calendar(ReviewSettings settings, LocalDate today, long now) {
    DataFolder data = data();
    Set<LocalDate> recorded = new HashSet<>(data.sessionDates());
    Set<LocalDate> open = new HashSet<>(data.openDates());
    TreeSet<LocalDate> dates = new TreeSet<>(open);
    dates.addAll(ledger.allFills().keySet());
    dates.addAll(data.ownFills().keySet());
    List<CalendarDay> days = new ArrayList<>();
    for (LocalDate date : dates) {
      CalendarDay.Known known =
          recorded.contains(date)
              ? CalendarDay.Known.PRINTS
              : open.contains(date) ? CalendarDay.Known.BARS : CalendarDay.Known.NOTHING;
      if (date.isAfter(today)) {
        if (open.contains(date)) {
          days.add(CalendarDay.ahead(date, known));
        }
        continue;
      }
      DayBook book = KeptFills.of(ledger, data, date);
      long until = date.equals(today) ? now : DayTime.LAST;
      List<Trade> closed =
          RoundTrips.of(settings.fees().on(book.tradedUntil(until)), settings.cost())
              .trades()
              .stream()
              .filter(trade -> trade.closed() && trade.exitAt() >= 0)
              .toList();
      days.add(
          new CalendarDay(
              date,
              known,
              closed.size(),
              closed.stream().map(Trade::result).reduce(BigDecimal.ZERO, BigDecimal::add),
              !book.page().isEmpty()));
    }
    return days;
  }

  /** The review of one session from its end, by the scans that were in force then. */
  public PastReview review(
      LocalDate date, WantedHits wanted, ReviewSettings settings, Progress progress) {
    return review(date, wanted, KeptFills.of(ledger, data(), date), settings, progress);
  }

  private PastReview review(
      LocalDate date, WantedHits wanted, DayBook book, ReviewSettings settings, Progress progress) {
    Session session = session(date);
    progress.done(0.5);
    WantedHits then = wanted.with(inForce(date, wanted.scans()));
    Program program = then.on(date, book);
    Played known = played.get(date);
    if (known == null || !known.program().equals(program)) {
      List<Hit> hits =
          SessionRun.of(session, program, progress).hits().stream().map(Hit::bare).toList();
      known = new Played(program, hits);
      played.put(date, known);
    }
    DayReview review =
        DayReview.of(session, then.scans(), known.hits(), book, settings, DayTime.LAST);
    return new PastReview(
        date, review, DecisionReview.of(session, book, wanted.listsOn(date), review), book.page());
  }

  /**
   * The reviews of several sessions, by date.
   *
   * @param each hears of each review as it is made
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public List<PastReview> reviews(
      List<LocalDate> dates,
      WantedHits wanted,
      ReviewSettings settings,
      Consumer<PastReview> each,
      Progress progress) {
    return SideBySide.each(
        dates, (date, going) -> review(date, wanted, settings, going), each, progress);
  }

  /**
   * A scan as it is and as changed, in each of several sessions, from their ends.
   *
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public List<WhatIf> whatIfs(
      List<LocalDate> dates, Scan was, Scan changed, ReviewSettings settings, Progress progress) {
    return SideBySide.each(
        dates,
        (date, going) -> whatIf(date, was, changed.named(was.name()), settings, going),
        one -> {},
        progress);
  }

  private WhatIf whatIf(
      LocalDate date, Scan was, Scan changed, ReviewSettings settings, Progress going) {
    Session session = session(date);
    DayBook book = KeptFills.of(ledger, data(), date);
    return WhatIf.between(
        session,
        was,
        asItWas(session, was, book, settings, going),
        WhatIf.alone(session, changed, book, settings, DayTime.LAST, going));
  }

  /** The scan as it is has been played for the change before; it is not played again. */
  private DayReview asItWas(
      Session session, Scan was, DayBook book, ReviewSettings settings, Progress going) {
    LocalDate date = session.hours().date();
    PlayedAlone known = asTheyWere.get(date);
    if (known == null || !known.isOf(was, book, settings)) {
      known =
          new PlayedAlone(
              was, book, settings, WhatIf.alone(session, was, book, settings, DayTime.LAST, going));
      asTheyWere.put(date, known);
    }
    return known.review();
  }

  /** All sessions that a question can be put to: those of prints and those of minute bars. */
  public SessionsAsked asked(Question question) {
    DataFolder data = data();
    Optional<String> untold = BarCases.untold(question);
    List<LocalDate> ofBars = data.barDates();
    return new SessionsAsked(
        Stream.concat(
                data.sessionDates().stream(), untold.isEmpty() ? ofBars.stream() : Stream.of())
            .sorted()
            .toList(),
        untold.isEmpty() ? List.of() : ofBars,
        untold.orElse(""));
  }

  /**
   * The cases of a question in several sessions, by date and moment: from prints where they were
   * recorded, else from minute bars. A session that was asked the same before is not played again.
   *
   * @param before daily bars from this day on are not looked at
   * @param each hears of each session's cases as they are found
   * @throws java.util.concurrent.CancellationException when the progress stops it
   * @throws RefusedException when minute bars cannot tell what the question asks, and one of the
   *     sessions has no more
   */
  public List<ResearchCase> cases(
      List<LocalDate> dates,
      Question question,
      LocalDate before,
      Consumer<List<ResearchCase>> each,
      Progress progress) {
    DataFolder data = data();
    Set<LocalDate> recorded = Set.copyOf(data.sessionDates());
    Asked now = new Asked(question, before, recorded);
    ResearchData known = data.research(before);
    // Reading them for the first time takes longer than the first answers.
    Supplier<UsualSpreads> usual =
        new Once<>(() -> data().usualSpreads(date -> date.isBefore(before), Progress.NONE));
    List<ResearchCase> cases =
        SideBySide.each(
                dates,
                (date, going) -> {
                  List<ResearchCase> asked = asked(date, now);
                  if (asked != null) {
                    return asked;
                  }
                  List<ResearchCase> found =
                      recorded.contains(date)
                          ? SessionCases.of(
                              session(date), question, known.after(date), usual, going)
                          : ofBars(date, question, known, usual.get());
                  answered.change(
                      date, List.of(), kept -> newestFirst(new Answered(now, found), kept));
                  return found;
                },
                each,
                progress)
            .stream()
            .flatMap(List::stream)
            .toList();
    otherFaults = List.copyOf(data.faultSentences());
    return cases;
  }

  private @Nullable List<ResearchCase> asked(LocalDate date, Asked now) {
    return Objects.requireNonNullElse(answered.get(date), List.<Answered>of()).stream()
        .filter(one -> one.asked.equals(now))
        .findFirst()
        .map(Answered::cases)
        .orElse(null);
  }

  private static List<Answered> newestFirst(Answered newest, List<Answered> kept) {
    return Stream.concat(Stream.of(newest), kept.stream()).limit(ANSWERS_KEPT).toList();
  }

  /**
   * How the securities of some cases traded on their day and on those after it, in the cases'
   * order.
   *
   * @param before daily bars from this day on are not looked at
   */
  public List<RecordSheet> sheets(List<ResearchCase> cases, LocalDate before) {
    ResearchData known = data().research(before);
    return cases.stream().map(one -> known.sheet(one.symbol(), one.date())).toList();
  }

  /**
   * How wide the spreads of the recorded sessions usually were, one of them left out: what trading
   * on paper in it costs must not come from what it showed later.
   *
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public UsualSpreads usualSpreadsBut(LocalDate leftOut, Progress progress) {
    return data().usualSpreads(date -> !date.equals(leftOut), progress);
  }

  /** What was known beforehand of a session of bars is kept for the next question. */
  private List<ResearchCase> ofBars(
      LocalDate date, Question question, ResearchData known, UsualSpreads usual) {
    BarSession session = barSessions.get(date);
    if (session == null) {
      session = known.barSession(date);
      if (session == null) {
        return List.of();
      }
      barSessions.put(date, session);
    }
    return BarCases.of(session, question, known.after(date), usual);
  }

  /** The minutes of a security in a session, oldest first; none when it has none. */
  public List<MinuteBar> minuteBars(LocalDate date, String symbol) {
    DataFolder data = data();
    if (!data.sessionDates().contains(date)) {
      return data.research(LocalDate.MAX).minuteBars(date, symbol);
    }
    Session session = session(date);
    OptionalInt number = session.numberOf(symbol);
    return number.isEmpty()
        ? List.of()
        : new MinuteBars(session, number.getAsInt()).advanceTo(DayTime.LAST);
  }

  /** When regular hours ended on a date. */
  public long closeOf(LocalDate date) {
    return new ExchangeCalendar().hours(date).close();
  }

  /** Reads a session. */
  public Session session(LocalDate date) {
    DataFolder folder = data();
    Session session = folder.session(date, Progress.NONE);
    faults.put(date, List.copyOf(folder.faultSentences()));
    return session;
  }

  /**
   * What was wrong with some sessions when they were read last, and with the tables beside the
   * sessions when a question was put last, a sentence each. What has been mended since and read
   * again is gone.
   */
  public List<String> faults(Collection<LocalDate> dates) {
    return Stream.concat(
            ofSessions(dates), otherFaults.stream().filter(told -> !told.startsWith(SESSIONS)))
        .distinct()
        .toList();
  }

  /** What was wrong with everything that has been read. */
  public List<String> faults() {
    return Stream.concat(ofSessions(new TreeSet<>(faults.keySet())), otherFaults.stream())
        .distinct()
        .toList();
  }

  private Stream<String> ofSessions(Collection<LocalDate> dates) {
    return dates.stream().flatMap(date -> faults.getOrDefault(date, List.of()).stream());
  }

  /**
   * The scans in the version that was in force on a date: the newest that had been used by then.
   */
  private List<Scan> inForce(LocalDate date, List<Scan> scans) {
    Map<String, Scan> then = new LinkedHashMap<>();
    scans.forEach(scan -> then.put(scan.name(), scan));
    for (String json : ledger.scansUntil(date)) {
      try {
        Scan old =
            ScanFile.parse(
                "a scan of the ledger",
                json,
                vocabulary,
                scans.stream().map(Scan::universe).distinct().toList());
        then.computeIfPresent(old.name(), (name, now) -> old);
      } catch (ScanFile.ScanFileException e) {
        LOG.warn("{}; the scan of today is played in its place", e.getMessage());
      }
    }
    return List.copyOf(then.values());
  }
}
