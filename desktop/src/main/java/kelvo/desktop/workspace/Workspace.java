package kelvo.desktop.workspace;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.OptionalInt;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import kelvo.alert.AlertScans;
import kelvo.data.fault.PlainReason;
import kelvo.data.feed.FeedGap;
import kelvo.data.feed.LiveFeed;
import kelvo.data.fix.DropCopy;
import kelvo.data.ledger.Ledger;
import kelvo.data.past.PastSessions;
import kelvo.data.past.WantedHits;
import kelvo.data.setting.SettingsFile;
import kelvo.desktop.chart.PointedAt;
import kelvo.desktop.theme.Theme;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.job.LatestAnswer;
import kelvo.journal.DayBook;
import kelvo.journal.FocusSpan;
import kelvo.player.LivePlayer;
import kelvo.player.Player;
import kelvo.player.PlayerListener;
import kelvo.player.SessionPlayer;
import kelvo.player.SessionRun;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.EarlierSessions;
import kelvo.session.Session;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import kelvo.time.DayTime;
import kelvo.view.ClockView;
import kelvo.view.HitCountsView;
import kelvo.view.HitCountsView.HitCounts;
import kelvo.view.HitsView;
import kelvo.view.QuoteView;
import kelvo.view.View;
import org.jspecify.annotations.Nullable;

/**
 * What a window works on: one session at one moment, the symbol in focus, and the trader's day. All
 * stages and parts read it; each follows its own views of the market through {@link #follow}. Only
 * for the window's thread.
 */
public final class Workspace implements AutoCloseable {
  /** No scan is being worked on. */
  public static final int NO_RULE = -1;

  private static final long MIN_FOCUS = DayTime.SECOND;
  private static final ClockView.Clock AT_START = new ClockView.Clock(DayTime.FIRST, 0);

  private final Session session;
  private final ScanDesk desk;
  private final ListDesk lists;
  private final AlertDesk alertDesk;
  private final Ledger ledger;
  private final PastSessions past;
  private final Player player;
  private final @Nullable LiveFeed feed;
  private final @Nullable DropCopy dropCopy;
  private final EarlierSessions earlier;
  private final OpenedDay day;
  private final Alerts alerts;
  private final Troubles troubles = new Troubles(Platform::runLater);
  private final Background background = new Background(troubles);
  private final LongQuestions longQuestions = new LongQuestions();
  private final ShownViews views =
      new ShownViews(Platform::runLater, e -> troubles.tell("showing a part", e));
  private final ReadOnlyObjectWrapper<ClockView.Clock> clock =
      new ReadOnlyObjectWrapper<>(AT_START);
  private final Presence presence = new Presence(System::nanoTime, this::now);

  /** No property, which would compare the old list with the new one, hit by hit. */
  private List<Hit> hits = List.of();

  private final ReadOnlyObjectWrapper<HitCounts> hitCounts =
      new ReadOnlyObjectWrapper<>(HitCounts.NONE);
  private final ReadOnlyObjectWrapper<QuoteView.@Nullable Quote> quote =
      new ReadOnlyObjectWrapper<>();
  private final Followed<QuoteView.Quote> quotes = new Followed<>(this, quote::set);
  private final TraderDay trader;
  private final PracticeDesk practice;
  private final ResearchDesk research = new ResearchDesk(this);
  private final SettingDesk settings;
  private final ReviewOfNow review;
  private final ObjectProperty<StageKind> stage = new SimpleObjectProperty<>(StageKind.NONE);
  private final ObjectProperty<Theme> theme;
  private final IntegerProperty workedRule = new SimpleIntegerProperty(NO_RULE);
  private final BooleanProperty scanInFront = new SimpleBooleanProperty(false);
  private final BooleanProperty wall = new SimpleBooleanProperty(false);
  private final ReadOnlyObjectWrapper<@Nullable LookedAt> lookedAt = new ReadOnlyObjectWrapper<>();
  private final StringProperty focus = new SimpleStringProperty("");
  private final ObjectProperty<@Nullable PointedAt> pointed = new SimpleObjectProperty<>();
  private final ReadOnlyLongWrapper playedUntil = new ReadOnlyLongWrapper(DayTime.FIRST);
  private final StringProperty action = new SimpleStringProperty("");
  private final StringProperty beside = new SimpleStringProperty("");
  private final ReadOnlyIntegerWrapper pastSessions = new ReadOnlyIntegerWrapper();
  private final DoubleProperty speed = new SimpleDoubleProperty(0);
  private final Deque<Edit> undo = new ArrayDeque<>();
  private final List<Runnable> whenClosed = new ArrayList<>();
  private List<Scan> asked = List.of();
  private long focusSince;
  private final AtomicBoolean left = new AtomicBoolean();
  private boolean traceless;
  private Runnable onReadAgain = () -> {};
  private Runnable onOtherDay = () -> {};
  private Consumer<OtherDay> onOpen = other -> {};
  private FilePlaces files = new FileDialogs();

  /** A window's work on an opened day, paused at a moment. */
  public Workspace(OpenedDay day, long moment, Theme theme) {
    this.day = day;
    session = day.session();
    ledger = day.ledger();
    past = new PastSessions(day.scanFolder().root(), ledger, day.vocabulary());
    feed = day.feed();
    dropCopy = day.dropCopy();
    earlier = day.earlier();
    trader =
        new TraderDay(
            day(),
            day.book(),
            ledger,
            this::now,
            () -> desk().mostKept().get(),
            this::wayOf,
            new TraderListener());
    settings = new SettingDesk(day.settings(), this::keep, this::canUndo);
    Theme.textSize(day.settings().number(SettingCatalogue.TEXT_SIZE) / 100);
    review =
        new ReviewOfNow(
            session, () -> settings.now().review(), latestAnswer("making the review"), this::now);
    this.theme = new SimpleObjectProperty<>(theme);
    settings.settings().addListener((o, was, is) -> use(was, is));
    alerts = new Alerts(this);
    desk = new ScanDesk(day, background, this::canUndo, action::set, this::replay, this::readAgain);
    lists = new ListDesk(day, background, this::canUndo, action::set);
    alertDesk = new AlertDesk(this, day, this::canUndo);
    asked = alertScans();
    keepScans();
    player = player(moment);
    // The hits first: whoever hears of a new moment finds the hits of that moment.
    follow(new HitsView(), now -> hits = now);
    follow(new HitCountsView(), hitCounts::set);
    follow(new ClockView(), clock::set);
    practice = new PracticeDesk(day, this, trader);
    alerts.follow();
    alertDesk.book().addListener((o, was, is) -> askForAlerts());
    lists.lists().addListener((o, was, is) -> askForAlerts());
    trader.book().addListener((o, was, is) -> askForAlerts());
  }

  /** What the alerts look for, as they, the lists and the scans are now. */
  private List<Scan> alertScans() {
    return AlertScans.on(day(), lists.lists().get(), book().get(), desk.scans())
        .of(alertDesk.book().get().alerts());
  }

  /** Replays the day only when alerts look for something else than before. */
  private void askForAlerts() {
    if (!alertScans().equals(asked)) {
      replay();
    }
  }

  /** Lets what has been set count. */
  private void use(Settings was, Settings is) {
    String look = is.text(SettingCatalogue.THEME);
    if (!look.equals(was.text(SettingCatalogue.THEME))) {
      theme.set(Theme.of(look));
    }
    if (!is.text(SettingCatalogue.TEXT_SIZE).equals(was.text(SettingCatalogue.TEXT_SIZE))) {
      Theme.textSize(is.number(SettingCatalogue.TEXT_SIZE) / 100);
      drawAgain();
    }
    if (!is.review().equals(was.review())) {
      refreshReview();
    }
  }

  /** Whatever is drawn hears of its look only when that changes: so it goes there and back. */
  private void drawAgain() {
    Theme shown = theme.get();
    theme.set(shown.other());
    theme.set(shown);
  }

  private void keep(Settings changed) {
    if (!traceless && day.isWritable()) {
      behind(
          "writing settings.json (the change holds until the window is closed)",
          () -> SettingsFile.write(day.scanFolder().root(), changed));
    }
  }

  private Player player(long moment) {
    LiveFeed live = feed;
    if (live == null) {
      return new SessionPlayer(day.run(), moment, new Told(), System::nanoTime);
    }
    speed.set(1);
    playedUntil.set(DayTime.LAST);
    LivePlayer started = new LivePlayer(day.run(), live, new Told(), System::nanoTime);
    live.start(fills -> Platform.runLater(() -> trader.filled(fills)), troubles::tell);
    if (dropCopy != null) {
      dropCopy.start(fills -> Platform.runLater(() -> trader.filled(fills)));
    }
    return started;
  }

  /** Hears of the player, on the player's thread. */
  private final class Told implements PlayerListener {
    @Override
    public void hit(Hit hit) {
      ledger.add(day(), hit);
    }

    @Override
    public void played(long until) {
      Platform.runLater(() -> playedUntil.set(until));
    }

    @Override
    public void published() {
      views.published();
    }

    @Override
    public void trouble(String what, Throwable cause) {
      troubles.tell(what, cause);
    }

    @Override
    public void stopped(Throwable cause) {
      troubles.tell("the session's player", cause);
      troubles.tell("Nothing moves any more; close the window and open the day again.");
    }
  }

  /**
   * Follows a view of the market from now on; its answers come on the window's thread, together
   * with those of all other views of the same moment. Parts hold a {@link Followed}.
   */
  <T> Player.Following follow(View<T> view, Consumer<T> show) {
    return player.follow(view, views.to(show));
  }

  /** Answers questions behind the window, the newest first; {@code what} names them in troubles. */
  public LatestAnswer latestAnswer(String what) {
    return latestAnswer(what, () -> {});
  }

  /** The same; {@code failed} is done in the window besides when a question has thrown. */
  public LatestAnswer latestAnswer(String what, Runnable failed) {
    return answers(background, what, failed);
  }

  /** The same for questions that take long, for which no other waits. */
  public LatestAnswer longAnswer(String what, Runnable failed) {
    return answers(longQuestions, what, failed);
  }

  private LatestAnswer answers(Executor worker, String what, Runnable failed) {
    return new LatestAnswer(
        worker,
        Platform::runLater,
        e -> {
          troubles.tell(what, e);
          failed.run();
        });
  }

  /** Makes the review of the moment shown. */
  public void refreshReview() {
    review.refresh(List.copyOf(desk.scans()), hits, book().get());
  }

  /** The session. */
  public Session session() {
    return session;
  }

  /** Where the events of a session that still goes on come from; null for a recorded one. */
  public @Nullable LiveFeed feed() {
    return feed;
  }

  /** The times when the feed did not tell what happened as it happened; none of a recorded day. */
  public List<FeedGap> feedGaps() {
    return feed == null ? List.of() : feed.gaps();
  }

  /** The recorded sessions before this one. */
  public EarlierSessions earlier() {
    return earlier;
  }

  /** The broker's drop copy; null for none. */
  public @Nullable DropCopy dropCopy() {
    return dropCopy;
  }

  /** The date of the session. */
  public LocalDate day() {
    return session.hours().date();
  }

  /** The data folder. */
  public Path folder() {
    return day.scanFolder().root();
  }

  /** Whether what the trader does is kept: not when another window has the folder. */
  public boolean isKept() {
    return day.isWritable();
  }

  /** The scans and universes in use, and what changes them. */
  public ScanDesk desk() {
    return desk;
  }

  /** The trader's own watchlists. */
  public ListDesk lists() {
    return lists;
  }

  /** The trader's alerts. */
  public AlertDesk alertDesk() {
    return alertDesk;
  }

  /** The scans in use. */
  public List<Scan> scans() {
    return desk.scans();
  }

  /** Whether small charts of the movers are wanted. */
  public BooleanProperty wall() {
    return wall;
  }

  /** The place of the rule that is being worked on; {@link #NO_RULE} while none is. */
  public IntegerProperty workedRule() {
    return workedRule;
  }

  /** Whether the stage on which scans are worked on is shown. */
  public BooleanProperty scanInFront() {
    return scanInFront;
  }

  /** What the trader has set. */
  public SettingDesk settings() {
    return settings;
  }

  /** Does something when the day has to be read again. */
  public void onReadAgain(Runnable then) {
    onReadAgain = then;
  }

  /** Saves the day and reads it again, for what has changed of what it is read with. */
  public void readAgain() {
    onReadAgain.run();
  }

  /** Does something when another day is wanted. */
  public void onOtherDay(Runnable then) {
    onOtherDay = then;
  }

  /** Saves the day and lets another one be chosen. */
  public void chooseOtherDay() {
    onOtherDay.run();
  }

  /** Who asks for files and folders. */
  public FilePlaces files() {
    return files;
  }

  /** Lets files and folders be asked for otherwise than by dialogs. */
  public void files(FilePlaces other) {
    files = other;
  }

  /** Does something when a date of the same folder is wanted. */
  public void onOpen(Consumer<OtherDay> then) {
    onOpen = then;
  }

  /** Saves the day and opens another date of the same folder in this window. */
  public void open(OtherDay other) {
    onOpen.accept(other);
  }

  /** The sessions of the folder that are over. */
  public PastSessions past() {
    return past;
  }

  /** What the trader looks for now, of which past sessions are reviewed. */
  public WantedHits wanted() {
    return new WantedHits(List.copyOf(desk.scans()), lists.lists().get(), alertDesk.book().get());
  }

  /** Whether the window has been left. */
  public boolean isLeft() {
    return left.get();
  }

  /** The ledger of the data folder. */
  public Ledger ledger() {
    return ledger;
  }

  /** Which alerts sound and pop up. */
  public Alerts alerts() {
    return alerts;
  }

  /** Whether somebody is at the windows. */
  public Presence presence() {
    return presence;
  }

  /** What has gone wrong. */
  public Troubles troubles() {
    return troubles;
  }

  /** The moment shown and the events applied by then. */
  public ReadOnlyObjectProperty<ClockView.Clock> clock() {
    return clock.getReadOnlyProperty();
  }

  /** All hits up to the moment shown, oldest first. */
  public List<Hit> hits() {
    return hits;
  }

  /** How many those are; changes after {@link #hits}. */
  public ReadOnlyObjectProperty<HitCounts> hitCounts() {
    return hitCounts.getReadOnlyProperty();
  }

  /** How the symbol in focus stands; null without one, and until it is known. */
  public ReadOnlyObjectProperty<QuoteView.@Nullable Quote> quote() {
    return quote.getReadOnlyProperty();
  }

  /** What the trader did on this day. */
  public ReadOnlyObjectProperty<DayBook> book() {
    return trader.book();
  }

  /** Trading on paper in this session. */
  public PracticeDesk practice() {
    return practice;
  }

  /** Questions of research. */
  public ResearchDesk research() {
    return research;
  }

  /** What the trader does on this day is done through it. */
  public TraderDay trader() {
    return trader;
  }

  /** The review of the moment shown. */
  public ReviewOfNow review() {
    return review;
  }

  /** The stage of the day that is shown. */
  public ObjectProperty<StageKind> stage() {
    return stage;
  }

  /** The look. */
  public ObjectProperty<Theme> theme() {
    return theme;
  }

  /** The scan whose matches are listed. */
  public ObjectProperty<Scan> shownScan() {
    return desk.shown();
  }

  /** The symbol in focus; empty for none. Change it with {@link #focusOn}. */
  public StringProperty focus() {
    return focus;
  }

  /** The crosshair of all charts of all windows. */
  public ObjectProperty<@Nullable PointedAt> pointed() {
    return pointed;
  }

  /** What the last key or click did, in words. */
  public StringProperty action() {
    return action;
  }

  /** What long work goes on beside the day and how far it is; empty without any. */
  public StringProperty beside() {
    return beside;
  }

  /** There are more past sessions than when the day was opened, as a sentence says. */
  public void pastHasGrown(String sentence) {
    action.set(sentence);
    pastSessions.set(pastSessions.get() + 1);
  }

  /** Changes whenever there are more past sessions. */
  public ReadOnlyIntegerProperty pastSessions() {
    return pastSessions.getReadOnlyProperty();
  }

  /** How many times the speed of the day; 0 when paused. Change it with {@link #play}. */
  public DoubleProperty speed() {
    return speed;
  }

  /**
   * Up to which moment a recorded day has been played through its scans; {@link DayTime#LAST} for
   * one that goes on.
   */
  public ReadOnlyLongProperty playedUntil() {
    return playedUntil.getReadOnlyProperty();
  }

  /** The moment shown. */
  public long now() {
    return clock.get().moment();
  }

  /** Goes to a moment of the session. */
  public void seek(long moment) {
    endFocus();
    alerts.sought(moment);
    player.seek(moment);
    if (feed != null) {
      speed.set(0);
    }
    action.set("At " + DayTime.seconds(moment));
  }

  /** Plays at so many times the speed of the day; 0 pauses. */
  public void play(double times) {
    speed.set(times);
    player.speed(times);
    action.set(playing(times));
  }

  private String playing(double times) {
    if (feed != null) {
      return times == 0 ? "Standing still; the session goes on" : "At now";
    }
    return times == 0 ? "Paused" : "Playing at " + (int) times + "x";
  }

  /** Puts a symbol in focus. */
  public void focusOn(String symbol) {
    if (!symbol.equals(focus.get())) {
      endFocus();
      focus.set(symbol);
      focusSince = now();
      followFocus();
    }
  }

  /** Puts a symbol in focus and a moment of its day in the middle of its chart. */
  public void lookAt(String symbol, long moment) {
    focusOn(symbol);
    lookedAt.set(new LookedAt(symbol, moment));
  }

  /** The moment that is to be seen on a chart; null before the first. */
  public ReadOnlyObjectProperty<@Nullable LookedAt> lookedAt() {
    return lookedAt.getReadOnlyProperty();
  }

  /** Puts the symbol, or the first one whose symbol or name contains the text, in focus. */
  public void find(String text) {
    String wanted = text.strip().toUpperCase(java.util.Locale.ROOT);
    OptionalInt exact = session.numberOf(wanted);
    if (exact.isPresent()) {
      focusOn(wanted);
      return;
    }
    session.securities().stream()
        .filter(
            f ->
                f.symbol().startsWith(wanted)
                    || f.security().name().toUpperCase(java.util.Locale.ROOT).contains(wanted))
        .findFirst()
        .ifPresentOrElse(
            f -> focusOn(f.symbol()),
            () -> action.set("No symbol or name contains \"" + text + "\""));
  }

  /** Keeps neither where the day is left nor what was looked at: it is only shown. */
  public void keepNothing() {
    traceless = true;
  }

  private void endFocus() {
    long until = now();
    if (!traceless && !focus.get().isEmpty() && until - focusSince >= MIN_FOCUS) {
      trader.lookedAt(new FocusSpan(focus.get(), focusSince, until));
    }
    focusSince = until;
  }

  private void followFocus() {
    quote.set(null);
    quotes.stop();
    session
        .numberOf(focus.get())
        .ifPresent(security -> quotes.follow(new QuoteView(session, security)));
  }

  /** Which way the symbol in focus moves now, by its gap; up for any other. */
  private Side wayOf(String symbol) {
    QuoteView.Quote shown = quote.get();
    return shown != null && shown.facts().symbol().equals(symbol)
        ? Side.of(shown.gapPercent())
        : Side.UP;
  }

  /** Does what follows from the trader's doing. */
  private final class TraderListener implements TraderDay.Listener {
    @Override
    public void levelsChanged() {
      replay();
    }

    @Override
    public Undoable undoable() {
      return Workspace.this::canUndo;
    }

    @Override
    public void told(String words) {
      action.set(words);
    }
  }

  /** An edit that can be taken back. */
  private record Edit(String what, String symbol, Runnable back) {}

  private void canUndo(String what, String symbol, Runnable back) {
    undo.push(new Edit(what, symbol, back));
  }

  /** Replays what the scans and levels as they are now find. */
  private void replay() {
    asked = alertScans();
    keepScans();
    alerts.programChanged();
    player.play(new Program(desk.scans(), book().get().levels(), asked));
  }

  /**
   * Keeps each scan and alert as it is now, so that its hits can be told from those of its later
   * versions.
   */
  private void keepScans() {
    desk.scans().forEach(scan -> ledger.add(day(), scan));
    asked.forEach(alert -> ledger.add(day(), alert));
  }

  /** Does something behind the window, in order; {@code what} names it in troubles. */
  public void behind(String what, Runnable task) {
    if (!background.isClosed()) {
      background.execute(what, task);
    }
  }

  /**
   * Works something out behind the window and hands the answer to it; nothing once it is closed. A
   * question that throws is told.
   */
  public <T> void workOut(Supplier<T> question, Consumer<T> answer) {
    behind(
        "work behind the window",
        () -> {
          T found = question.get();
          Platform.runLater(() -> answer.accept(found));
        });
  }

  /** Asks something about the run behind the window and hands the answer to it. */
  public <T> void ask(Function<SessionRun, T> question, Consumer<T> answer) {
    player.ask(question, found -> Platform.runLater(() -> answer.accept(found)));
  }

  /** Takes the last edit back. */
  public void undo() {
    if (undo.isEmpty()) {
      action.set("Nothing to undo");
    } else {
      Edit edit = undo.pop();
      edit.back.run();
      if (!edit.symbol.isEmpty()) {
        focusOn(edit.symbol);
      }
      action.set("Undone: " + edit.what);
    }
  }

  /** Does something when the work ends, such as letting a clock go. */
  public void onClose(Runnable then) {
    whenClosed.add(then);
  }

  /**
   * Keeps the moment and lets go of the window; what has to be saved is saved by {@link #finish}.
   * Only the first call does so. On the window's thread, unless that no longer runs.
   */
  public void leave() {
    if (!left.compareAndSet(false, true)) {
      return;
    }
    List<String> lost = new ArrayList<>();
    closing(this::endFocus, "what was looked at", lost);
    closing(desk::close, "the scans", lost);
    whenClosed.forEach(then -> closing(then, "a part of the window", lost));
    lost.forEach(troubles::tell);
    if (!traceless) {
      ledger.leaveAt(day(), now());
    }
  }

  /**
   * Waits until the session's record, the scan files and the ledger are on disk; on any thread but
   * the window's, since a disk may be slow.
   *
   * @return what could not be saved, a sentence each
   */
  public List<String> finish() {
    List<String> lost = new ArrayList<>();
    if (feed != null) {
      closing(feed::close, "the session's record", lost);
    }
    if (dropCopy != null) {
      closing(dropCopy::close, "the broker's fills", lost);
    }
    closing(player::close, "the player", lost);
    closing(longQuestions::close, "what was asked of past sessions", lost);
    closing(background::close, "scan files", lost);
    closing(() -> lost.addAll(ledger.finish()), "the ledger", lost);
    if (feed != null && feed.told() >= session.hours().close()) {
      closing(day::keepColumns, "the session's columns", lost);
    }
    closing(day::release, "the folder's lock", lost);
    return lost;
  }

  private static void closing(Runnable close, String what, List<String> lost) {
    try {
      close.run();
    } catch (RuntimeException e) {
      lost.add("Closing " + what + " went wrong: " + PlainReason.of(e) + ".");
    }
  }

  @Override
  public void close() {
    leave();
    finish().forEach(troubles::tell);
  }
}
