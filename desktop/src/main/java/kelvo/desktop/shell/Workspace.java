package kelvo.desktop.shell;

import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.OptionalInt;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import kelvo.data.feed.LiveFeed;
import kelvo.data.fix.DropCopy;
import kelvo.data.ledger.Ledger;
import kelvo.desktop.chart.PointedAt;
import kelvo.desktop.theme.Theme;
import kelvo.session.EarlierSessions;
import kelvo.player.LivePlayer;
import kelvo.view.MarketSnapshot;
import kelvo.player.Player;
import kelvo.hit.Program;
import kelvo.player.SessionPlayer;
import kelvo.player.SessionRun;
import kelvo.view.SnapshotRequest;
import kelvo.session.Session;
import kelvo.review.DayReview;
import kelvo.view.CatalystFilter;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.time.DayTime;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import org.jspecify.annotations.Nullable;

/**
 * What a window works on: one session at one moment, the symbol in focus, and the trader's day. All
 * parts read it and follow it. Only for the window's thread.
 */
public final class Workspace implements AutoCloseable {
  /** No scan is being worked on. */
  public static final int NO_RULE = -1;

  private static final long SHORTEST_FOCUS = DayTime.SECOND;

  private final Session session;
  private final ScanDesk desk;
  private final Ledger ledger;
  private final Player player;
  private final @Nullable LiveFeed feed;
  private final @Nullable DropCopy dropCopy;
  private final EarlierSessions earlier;
  private final Alerts alerts = new Alerts(this);
  private final ExecutorService background =
      Executors.newSingleThreadExecutor(task -> daemon(task));
  private final AtomicReference<@Nullable MarketSnapshot> pending = new AtomicReference<>();
  private final ReadOnlyObjectWrapper<@Nullable MarketSnapshot> snapshot =
      new ReadOnlyObjectWrapper<>();
  private final TraderDay trader;
  private final ReviewOfNow review;
  private final ObjectProperty<StageKind> stage = new SimpleObjectProperty<>(StageKind.MORNING);
  private final ObjectProperty<Theme> theme;
  private final IntegerProperty workedRule = new SimpleIntegerProperty(NO_RULE);
  private final ObjectProperty<CatalystFilter> newsFilter =
      new SimpleObjectProperty<>(CatalystFilter.ALL);
  private final BooleanProperty wall = new SimpleBooleanProperty(false);
  private final StringProperty focus = new SimpleStringProperty("");
  private final ObjectProperty<List<String>> pinned = new SimpleObjectProperty<>(List.of());
  private final ObjectProperty<@Nullable PointedAt> pointed = new SimpleObjectProperty<>();
  private final StringProperty action = new SimpleStringProperty("");
  private final DoubleProperty speed = new SimpleDoubleProperty(0);
  private final Deque<Runnable> undo = new ArrayDeque<>();
  private final List<Runnable> whenClosed = new ArrayList<>();
  private long focusSince;

  /** A window's work on an opened day, paused at a moment. */
  public Workspace(OpenedDay day, long moment, Theme theme) {
    session = day.session();
    ledger = day.ledger();
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
    review = new ReviewOfNow(session, background, this::now);
    this.theme = new SimpleObjectProperty<>(theme);
    desk = new ScanDesk(day, background, undo::push, action::set, () -> replay(now()));
    player = player(day, moment);
    stage.addListener((o, was, is) -> refreshReview());
    desk.shown().addListener((o, was, is) -> player.show(request()));
    workedRule.addListener((o, was, is) -> player.show(request()));
    wall.addListener((o, was, is) -> player.show(request()));
    desk.checks().addListener((o, was, is) -> player.show(request()));
    newsFilter.addListener((o, was, is) -> player.show(request()));
    pinned.addListener((o, was, is) -> player.show(request()));
  }

  private Player player(OpenedDay day, long moment) {
    LiveFeed live = day.feed();
    if (live == null) {
      return new SessionPlayer(
          day.run(), moment, request(), this::arrived, alerts::hit, System::nanoTime);
    }
    speed.set(1);
    LivePlayer started =
        new LivePlayer(day.run(), live, request(), this::arrived, alerts::hit, System::nanoTime);
    live.start(fills -> Platform.runLater(() -> trader.filled(fills)));
    if (day.dropCopy() != null) {
      day.dropCopy().start(fills -> Platform.runLater(() -> trader.filled(fills)));
    }
    return started;
  }

  private static Thread daemon(Runnable task) {
    Thread thread = new Thread(task, "background");
    thread.setDaemon(true);
    return thread;
  }

  private SnapshotRequest request() {
    List<String> followed = book().get().theTen(now()).stream().map(Decision::symbol).toList();
    return new SnapshotRequest(
        desk.shown().get(),
        focus.get(),
        pinned.get(),
        followed,
        newsFilter.get(),
        workedRule.get() == NO_RULE ? OptionalInt.empty() : OptionalInt.of(workedRule.get()),
        desk.checks().get(),
        wall.get());
  }

  /** Takes a snapshot on the player's thread; the window sees the newest one only. */
  private void arrived(MarketSnapshot newest) {
    if (pending.getAndSet(newest) == null) {
      Platform.runLater(this::show);
    }
  }

  private void show() {
    MarketSnapshot newest = pending.getAndSet(null);
    if (newest == null) {
      return;
    }
    snapshot.set(newest);
    if (newest.cards().size() != book().get().theTen(newest.moment()).size()) {
      player.show(request());
    }
    refreshReview();
  }

  private void refreshReview() {
    if (stage.get() == StageKind.REVIEW) {
      review.refresh(
          () -> {
            MarketSnapshot shown = snapshot.get();
            return new ReviewOfNow.Asked(
                List.copyOf(desk.scans()), shown == null ? List.of() : shown.hits(), book().get());
          });
    }
  }

  /** The session. */
  public Session session() {
    return session;
  }

  /** Where the events of a session that still goes on come from; null for a recorded one. */
  public @Nullable LiveFeed feed() {
    return feed;
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

  /** The scans and universes in use, and what changes them. */
  public ScanDesk desk() {
    return desk;
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

  /** The ledger of the data folder. */
  public Ledger ledger() {
    return ledger;
  }

  /** Which alerts sound and pop up. */
  public Alerts alerts() {
    return alerts;
  }

  /** What is shown; null until the first snapshot has come. */
  public ReadOnlyObjectProperty<@Nullable MarketSnapshot> snapshot() {
    return snapshot.getReadOnlyProperty();
  }

  /** Shows each snapshot on a stage while it is in front, and the newest when it comes there. */
  public void onSnapshot(StageKind kind, Runnable show) {
    snapshot.addListener(
        (o, was, is) -> {
          if (stage.get() == kind) {
            show.run();
          }
        });
    stage.addListener(
        (o, was, is) -> {
          if (is == kind) {
            show.run();
          }
        });
  }

  /** What the trader did on this day. */
  public ReadOnlyObjectProperty<DayBook> book() {
    return trader.book();
  }

  /** What the trader does on this day is done through it. */
  public TraderDay trader() {
    return trader;
  }

  /** The review at the newest moment for which it was made; null before the first. */
  public ReadOnlyObjectProperty<@Nullable DayReview> review() {
    return review.review();
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

  /** Which news is listed. */
  public ObjectProperty<CatalystFilter> newsFilter() {
    return newsFilter;
  }

  /** The symbol in focus; empty for none. Change it with {@link #focusOn}. */
  public StringProperty focus() {
    return focus;
  }

  /** The symbols that windows of their own show whatever is in focus. */
  public ObjectProperty<List<String>> pinned() {
    return pinned;
  }

  /** The crosshair of all charts of all windows. */
  public ObjectProperty<@Nullable PointedAt> pointed() {
    return pointed;
  }

  /** What the last key or click did, in words. */
  public StringProperty action() {
    return action;
  }

  /** How many times the speed of the day; 0 when paused. Change it with {@link #play}. */
  public DoubleProperty speed() {
    return speed;
  }

  /** The moment shown. */
  public long now() {
    MarketSnapshot shown = snapshot.get();
    return shown == null ? DayTime.FIRST : shown.moment();
  }

  /** Goes to a moment of the session. */
  public void seek(long moment) {
    endFocus();
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
      player.show(request());
    }
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

  private void endFocus() {
    long until = now();
    if (!focus.get().isEmpty() && until - focusSince >= SHORTEST_FOCUS) {
      trader.lookedAt(new FocusSpan(focus.get(), focusSince, until));
    }
    focusSince = until;
  }

  /** Which way a symbol moves now, by its gap. */
  private Side wayOf(String symbol) {
    MarketSnapshot shown = snapshot.get();
    return shown == null
        ? Side.UP
        : shown.gaps().stream()
            .filter(g -> g.symbol().equals(symbol))
            .findFirst()
            .map(g -> Side.of(g.percent()))
            .orElse(Side.UP);
  }

  /** Does what follows from the trader's doing. */
  private final class TraderListener implements TraderDay.Listener {
    @Override
    public void followed() {
      player.show(request());
    }

    @Override
    public void levelsChanged() {
      replay(now());
    }

    @Override
    public void canUndo(Runnable edit) {
      undo.push(edit);
    }

    @Override
    public void told(String words) {
      action.set(words);
    }
  }

  /** Plays what comes after a moment again with the levels as they are now. */
  private void replay(long from) {
    player.play(new Program(desk.scans(), book().get().levels()), from);
  }

  /**
   * Works something out behind the window and hands the answer to it; nothing once it is closed.
   */
  public <T> void workOut(Supplier<T> question, Consumer<T> answer) {
    if (background.isShutdown()) {
      return;
    }
    background.execute(
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
      undo.pop().run();
      action.set("Undone");
    }
  }

  /** Does something when the work ends, such as letting a clock go. */
  public void onClose(Runnable then) {
    whenClosed.add(then);
  }

  /** Keeps the moment, stops the engine and waits until the ledger is on disk. */
  @Override
  public void close() {
    endFocus();
    desk.close();
    whenClosed.forEach(Runnable::run);
    ledger.leaveAt(day(), now());
    if (feed != null) {
      feed.close();
    }
    if (dropCopy != null) {
      dropCopy.close();
    }
    player.close();
    background.shutdown();
    ledger.close();
  }
}
