package kelvo.data.folder;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.function.Predicate;
import java.util.function.ToDoubleBiFunction;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kelvo.data.columns.Columns;
import kelvo.data.fault.Fault;
import kelvo.data.fault.Faults;
import kelvo.data.news.NewsSource;
import kelvo.data.setting.SettingsFile;
import kelvo.history.CorporateAction;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import kelvo.job.Progress;
import kelvo.journal.DayBook;
import kelvo.news.Catalyst;
import kelvo.refusal.RefusedException;
import kelvo.research.UsualSpreads;
import kelvo.rule.Vocabulary;
import kelvo.session.EarlierDays;
import kelvo.session.EarlierSessions;
import kelvo.session.KnownEvent;
import kelvo.session.Security;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.setting.Settings;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import kelvo.time.TradingCalendar;
import kelvo.trade.Fill;
import kelvo.universe.Figure;
import org.jspecify.annotations.Nullable;

/**
 * A data folder: securities, corporate actions, daily bars, known events, recorded sessions, news
 * and fills, as docs/formats.md describes. Every fault is collected and the rest is read. Not
 * thread-safe.
 */
public final class DataFolder {
  private static final int SPLIT_IS_RECENT = 2;
  private static final int NEWS_DAYS = 3;
  private static final int DATE_LENGTH = 10;
  private static final Pattern DATED = Pattern.compile("\\d{4}-\\d{2}-\\d{2}");

  private final Path root;
  private final TradingCalendar calendar;
  private final Faults faults = new Faults();
  private @Nullable List<Security> securities;
  private @Nullable List<Figure> figures;
  private @Nullable SortedMap<LocalDate, List<Fill>> ownFills;
  private @Nullable ActionsFile actions;
  private @Nullable Settings settings;
  private final List<String> fillsLeftOut = new ArrayList<>();
  private final List<String> wrongSettings = new ArrayList<>();
  private boolean searching;

  /**
   * A folder.
   *
   * @throws RefusedException when there is no such folder
   */
  public DataFolder(Path root, TradingCalendar calendar) {
    if (!Files.isDirectory(root)) {
      throw new RefusedException(
          "there is no folder " + root + "; name one that holds securities.csv");
    }
    this.root = root;
    this.calendar = calendar;
  }

  /** The faults found so far, the first ones of each kind. */
  public List<Fault> faults() {
    return faults.all();
  }

  /** How many faults there have been. */
  public int faultCount() {
    return faults.count() + wrongSettings.size();
  }

  /** How many lines of one file, named from the folder on, were left out. */
  public int linesLeftOut(String file) {
    return faults.leftOut(file);
  }

  /** All faults in words, many of one kind in one sentence. */
  public List<String> faultSentences() {
    List<String> sentences = new ArrayList<>(wrongSettings);
    sentences.addAll(faults.sentences());
    return sentences;
  }

  /**
   * From now on also looks for what is wrong with rows that can be read: an order that goes back,
   * ids that come twice. Takes longer.
   */
  public DataFolder searching() {
    searching = true;
    return this;
  }

  /** The dates of the recorded sessions, those with prints, oldest first. */
  public List<LocalDate> sessionDates() {
    return dates("sessions", "a folder with a folder a session").stream()
        .filter(date -> TableFile.find(root, "sessions/" + date + "/trades", faults).isPresent())
        .toList();
  }

  /** The dates of sessions of which there are minute bars and no prints, oldest first. */
  public List<LocalDate> barDates() {
    Set<LocalDate> recorded = new HashSet<>(sessionDates());
    return minuteDates().stream().filter(date -> !recorded.contains(date)).toList();
  }

  /** The dates that can be opened: those with prints and those with minute bars, oldest first. */
  public List<LocalDate> openDates() {
    return Stream.concat(sessionDates().stream(), minuteDates().stream())
        .distinct()
        .sorted()
        .toList();
  }

  /** The dates of which there are minute bars, oldest first. */
  List<LocalDate> minuteDates() {
    return dates("minutes", "a folder with a table a day");
  }

  /** The dates that things in a folder are named by, oldest first. */
  private List<LocalDate> dates(String folder, String expected) {
    Path named = root.resolve(folder);
    if (!Files.isDirectory(named)) {
      if (Files.exists(named, LinkOption.NOFOLLOW_LINKS)) {
        faults.add(new Fault(folder, 0, "", expected, "something else"));
      }
      return List.of();
    }
    try (Stream<Path> things = Files.list(named)) {
      return things
          .map(thing -> thing.getFileName().toString())
          .filter(name -> DATED.matcher(name).lookingAt())
          .flatMap(name -> date(folder, name).stream())
          .distinct()
          .sorted()
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(folder + " of " + root + " cannot be listed", e);
    }
  }

  private Optional<LocalDate> date(String folder, String name) {
    try {
      return Optional.of(LocalDate.parse(name.substring(0, DATE_LENGTH)));
    } catch (DateTimeException e) {
      faults.add(new Fault(folder + "/" + name, 0, "", "the name of a day", name));
      return Optional.empty();
    }
  }

  /**
   * Reads what no session may have asked for: the securities, daily bars and minutes of all days,
   * so that their faults are found.
   */
  public void readAll() {
    securities();
    DailyFile.read(root, kept());
    MinuteFiles minutes = new MinuteFiles(root, kept());
    minuteDates().forEach(minutes::of);
    if (sessionDates().isEmpty()) {
      faults.add(
          new Fault("sessions", 0, "", "folders such as 2031-03-12 with trades.csv", "none"));
    }
  }

  /**
   * Reads a session with all that is known beforehand. Where there are no prints, minute bars stand
   * for them.
   *
   * @param progress hears of the parts as they are done
   */
  public Session session(LocalDate date, Progress progress) {
    KeptColumns kept = kept();
    progress.step("securities and news");
    CompletableFuture<Map<String, DailyBarList>> daily =
        CompletableFuture.supplyAsync(() -> DailyFile.read(root, kept));
    List<Security> securities = putRight(securities(), figures(), date);
    ActionsFile actions = actions();
    Map<String, Integer> numbers = new HashMap<>();
    securities.forEach(security -> numbers.put(security.symbol(), numbers.size()));
    SessionHours hours = calendar.hours(date);
    List<Catalyst> catalysts = SessionNews.read(root, date, newsFrom(hours), securities, kept);
    progress.done(0.1);
    progress.step("the events of the session");
    EventTape tape = SessionTape.read(root, date, numbers, securities, catalysts, searching, kept);
    progress.done(0.6);
    progress.step("daily bars");
    Map<String, DailyBarList> bars = daily.join();
    progress.done(0.8);
    progress.step("what earlier sessions were like");
    EarlierDays earlier =
        new EarlierDaysFiles(
                root,
                date,
                calendar,
                numbers,
                securities,
                bars,
                splitsUntil(date),
                namedEarlier(catalysts, date))
            .read(kept);
    progress.done(0.9);
    List<SecurityFacts> facts =
        securities.parallelStream().map(security -> facts(security, actions, bars, date)).toList();
    progress.done(1);
    return new Session(
            hours, settings().phases().in(hours), facts, catalysts, knownEvents(date), tape)
        .with(earlier);
  }

  /** The symbols that items of earlier days name, by the day. */
  private static Map<LocalDate, Set<String>> namedEarlier(List<Catalyst> items, LocalDate date) {
    Map<LocalDate, Set<String>> named = new TreeMap<>();
    for (Catalyst item : items) {
      if (item.at() < 0) {
        LocalDate day = date.plusDays(Math.floorDiv(item.at(), DayTime.DAY));
        named.computeIfAbsent(day, d -> new HashSet<>()).addAll(item.symbols());
      }
    }
    named.values().removeIf(Set::isEmpty);
    return named;
  }

  /** News is kept from the close of the session before the last on, and for three days at least. */
  private long newsFrom(SessionHours hours) {
    LocalDate last = calendar.before(hours.date());
    long beforeLast =
        calendar.hours(last).previousClose()
            - ChronoUnit.DAYS.between(last, hours.date()) * DayTime.DAY;
    return Math.min(beforeLast, -NEWS_DAYS * DayTime.DAY);
  }

  /** What is doubtful about a session's daily bars and share figures, a sentence each. */
  public List<String> doubtsAbout(Session session) {
    return StaleFigures.of(session, calendar.before(session.hours().date()));
  }

  /** The recorded sessions before a date. */
  public EarlierSessions sessionsBefore(LocalDate date) {
    return new EarlierSessions() {
      @Override
      public List<LocalDate> dates() {
        return new DataFolder(root, calendar)
            .sessionDates().stream()
                .filter(recorded -> recorded.isBefore(date))
                .toList()
                .reversed();
      }

      @Override
      public Session read(LocalDate wanted, Progress progress) {
        return new DataFolder(root, calendar).session(wanted, progress);
      }
    };
  }

  /**
   * What research needs besides the recorded sessions.
   *
   * @param before daily bars from this day on are not looked at as those of later sessions
   */
  public ResearchData research(LocalDate before) {
    KeptColumns kept = kept();
    return new ResearchData(
        this,
        calendar,
        kept,
        new MinuteFiles(root, kept),
        DailyFile.read(root, kept),
        actions()::splits,
        before);
  }

  /** What is known before a session, without its tape and the minutes of those before it. */
  Session beforehand(LocalDate date, Map<String, DailyBarList> daily) {
    List<Security> securities = putRight(securities(), figures(), date);
    SessionHours hours = calendar.hours(date);
    return new Session(
        hours,
        settings().phases().in(hours),
        securities.stream().map(security -> facts(security, actions(), daily, date)).toList(),
        SessionNews.read(root, date, newsFrom(hours), securities, kept()),
        List.of(),
        new EventTape(securities.size()));
  }

  /**
   * How wide the spreads of recorded sessions usually were.
   *
   * @param counts which of them count
   * @throws java.util.concurrent.CancellationException when the progress stops it
   */
  public UsualSpreads usualSpreads(Predicate<LocalDate> counts, Progress progress) {
    return new SpreadColumns(root, securities(), kept(), this::tape)
        .of(sessionDates().stream().filter(counts).toList(), progress);
  }

  /** The events of a session alone. */
  private EventTape tape(LocalDate date, KeptColumns kept) {
    Map<String, Integer> numbers = new HashMap<>();
    securities().forEach(security -> numbers.put(security.symbol(), numbers.size()));
    List<Catalyst> catalysts =
        SessionNews.read(root, date, newsFrom(calendar.hours(date)), securities(), kept);
    return SessionTape.read(root, date, numbers, securities(), catalysts, searching, kept);
  }

  private KeptColumns kept() {
    return new KeptColumns(new Columns(root), faults, searching);
  }

  private SecurityFacts facts(
      Security security, ActionsFile actions, Map<String, DailyBarList> daily, LocalDate date) {
    DailyBarList bars = daily.getOrDefault(security.symbol(), DailyBarList.NONE);
    List<CorporateAction> own = actions.splits(security.symbol());
    return new SecurityFacts(
        security,
        DailyHistory.before(date, bars, own),
        recentSplit(own, date),
        todays(security.floatShares(), security.floatAsOf(), date, own),
        todays(security.sharesOutstanding(), security.sharesAsOf(), date, own),
        actions.distributions(security.symbol(), date));
  }

  /** A share figure in the shares of a session; unknown when it is of a later date. */
  private static double todays(
      double shares, @Nullable LocalDate asOf, LocalDate session, List<CorporateAction> splits) {
    if (asOf == null) {
      return shares;
    }
    return asOf.isAfter(session)
        ? Double.NaN
        : shares * DailyHistory.ratioBetween(asOf, session, splits);
  }

  private @Nullable CorporateAction recentSplit(List<CorporateAction> own, LocalDate date) {
    CorporateAction recent = null;
    for (CorporateAction action : own) {
      if (calendar.within(action.date(), date, SPLIT_IS_RECENT)
          && (recent == null || action.date().isAfter(recent.date()))) {
        recent = action;
      }
    }
    return recent;
  }

  /** The securities as they are listed, read once. */
  public List<Security> securities() {
    List<Security> read = securities;
    if (read == null) {
      read = SecuritiesFile.read(root, kept());
      securities = read;
    }
    return read;
  }

  /** What the trader has set for this folder, read once. */
  public Settings settings() {
    Settings read = settings;
    if (read == null) {
      read = SettingsFile.read(root, wrongSettings::add);
      settings = read;
    }
    return read;
  }

  /** The words that rules of this folder may use. */
  public Vocabulary vocabulary() {
    return Vocabulary.of(securities(), settings().phases());
  }

  /** Floats and share counts put right by hand, the last one of a security last. */
  public List<Figure> figures() {
    List<Figure> read = figures;
    if (read == null) {
      read = FiguresFile.read(root, faults);
      figures = read;
    }
    return read;
  }

  /** With what was put right by hand, as far as a figure is of the session's date or before. */
  private static List<Security> putRight(
      List<Security> listed, List<Figure> figures, LocalDate date) {
    Map<String, List<Figure>> bySymbol =
        figures.stream()
            .filter(figure -> !figure.asOf().isAfter(date))
            .collect(Collectors.groupingBy(Figure::symbol));
    List<Security> right = new ArrayList<>();
    for (Security security : listed) {
      Security put = security;
      for (Figure figure : bySymbol.getOrDefault(security.symbol(), List.of())) {
        put = figure.on(put);
      }
      right.add(put);
    }
    return List.copyOf(right);
  }

  private List<KnownEvent> knownEvents(LocalDate session) {
    List<KnownEvent> events = new ArrayList<>();
    TableFile.find(root, "calendar", faults)
        .ifPresent(
            file ->
                file.read(
                    List.of("date", "time", "symbol", "kind", "title"),
                    header -> {
                      int date = header.column("date");
                      int time = header.column("time");
                      int symbol = header.column("symbol");
                      int kind = header.column("kind");
                      int title = header.column("title");
                      return row -> {
                        if (row.date(date).equals(session)) {
                          events.add(
                              new KnownEvent(
                                  row.time(time, session),
                                  row.text(symbol),
                                  row.text(kind),
                                  row.text(title)));
                        }
                      };
                    }));
    return events;
  }

  /** The publishers of news that the trader has named. */
  public List<NewsSource> newsSources() {
    return NewsSource.in(root, faults);
  }

  /** The fills of one session in the folder's own fills file, and those that came with its feed. */
  public List<Fill> fills(LocalDate date) {
    return together(ownFills().getOrDefault(date, List.of()), feedFills(date));
  }

  /** The fills of the folder's own fills file by their days, read once. */
  public SortedMap<LocalDate, List<Fill>> ownFills() {
    SortedMap<LocalDate, List<Fill>> read = ownFills;
    if (read == null) {
      read = FillsFile.read(root, "fills", faults, fillsLeftOut);
      ownFills = read;
    }
    return read;
  }

  /** The fills of the days before one, those that came with recorded sessions included. */
  public SortedMap<LocalDate, List<Fill>> fillsBefore(LocalDate date) {
    SortedMap<LocalDate, List<Fill>> before = new TreeMap<>();
    ownFills().headMap(date).forEach((day, fills) -> before.put(day, new ArrayList<>(fills)));
    for (LocalDate day : sessionDates()) {
      if (day.isBefore(date)) {
        before.merge(day, feedFills(day), DataFolder::together);
      }
    }
    return before;
  }

  /** A fill that is in the folder's own file and in the feed's record is one fill. */
  private static List<Fill> together(List<Fill> own, List<Fill> ofFeed) {
    return DayBook.EMPTY.withFills(own).adding(ofFeed).fills();
  }

  /** The fills that came with a session's live feed. */
  public List<Fill> feedFills(LocalDate date) {
    return FillsFile.ofDay(
        root.resolve("sessions").resolve(date.toString()), date, faults, fillsLeftOut);
  }

  /** The fills of any file of the format by their days; faults go to this folder's list. */
  public SortedMap<LocalDate, List<Fill>> fills(Path file) {
    return FillsFile.read(file, faults, fillsLeftOut);
  }

  /** The symbol of each line of fills that was left out so far. */
  public List<String> fillsLeftOut() {
    return List.copyOf(fillsLeftOut);
  }

  /** What a share of a security on a day has become by splits until another day. */
  public ToDoubleBiFunction<String, LocalDate> splitsUntil(LocalDate date) {
    ActionsFile actions = actions();
    return (symbol, day) -> DailyHistory.ratioBetween(day, date, actions.splits(symbol));
  }

  private ActionsFile actions() {
    ActionsFile read = actions;
    if (read == null) {
      read = ActionsFile.read(root, faults);
      actions = read;
    }
    return read;
  }
}
