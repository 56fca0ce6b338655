package kelvo.desktop.workspace;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import kelvo.alert.AlertScans;
import kelvo.data.feed.FeedGap;
import kelvo.data.feed.LiveFeed;
import kelvo.data.fix.DropCopy;
import kelvo.data.ledger.Ledger;
import kelvo.data.past.PastSessions;
import kelvo.data.past.WantedHits;
import kelvo.data.setting.SettingsFile;
import kelvo.desktop.theme.Theme;
import kelvo.hit.Program;
import kelvo.journal.DayBook;
import kelvo.scan.Scan;
import kelvo.session.EarlierSessions;
import kelvo.session.Session;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import org.jspecify.annotations.Nullable;

/**
 * What a window works on: an opened day with its clock, the symbol in focus, what the trader does,
 * and the window's own state, each in a part of its own. Only for the window's thread.
 */
public final class Workspace implements AutoCloseable {
  private final OpenedDay day;
  private final PastSessions past;
  private final Troubles troubles = new Troubles(Platform::runLater);
  private final Answers answers = new Answers(troubles);
  private final DayEnd end = new DayEnd(troubles);
  private final Navigation navigation = new Navigation();
  private final WindowState window;
  private final DayClock clock;
  private final Focus focus;
  private final UndoStack undo;
  private final Presence presence;
  private final TraderDay trader;
  private final SettingDesk settings;
  private final ReviewOfNow review;
  private final ScanDesk desk;
  private final ListDesk lists;
  private final AlertDesk alertDesk;
  private final Alerts alerts;
  private final PracticeDesk practice;
  private final ResearchDesk research;
  private List<Scan> asked;

  /** A window's work on an opened day, paused at a moment. */
  public Workspace(OpenedDay day, long moment, Theme theme) {
    this.day = day;
    past = new PastSessions(folder(), ledger(), day.files().vocabulary());
    window = new WindowState(theme);
    clock =
        new DayClock(
            day.market().run(), feed(), day(), moment, ledger(), troubles, window.action()::set);
    focus = new Focus(session(), clock, window.action()::set);
    undo = new UndoStack(window.action()::set, focus::on);
    presence = new Presence(System::nanoTime, clock::now);
    trader =
        new TraderDay(
            day(),
            day.book(),
            ledger(),
            clock::now,
            () -> desk().mostKept().get(),
            focus::wayOf,
            new TraderListener());
    settings = new SettingDesk(day.files().settings(), this::keep, undo);
    Theme.textSize(day.files().settings().number(SettingCatalogue.TEXT_SIZE) / 100);
    review =
        new ReviewOfNow(
            session(),
            () -> settings.now().review(),
            answers.latest("making the review"),
            clock::now);
    settings.settings().addListener((o, was, is) -> use(was, is));
    alerts = new Alerts(this);
    desk =
        new ScanDesk(
            day.files(),
            answers.background(),
            undo,
            window.action()::set,
            this::replay,
            navigation::readAgain);
    lists = new ListDesk(day.files(), answers.background(), undo, window.action()::set);
    alertDesk = new AlertDesk(this, day.files(), undo);
    asked = alertScans();
    keepScans();
    focus.onEnd(
        span -> {
          if (!end.isTraceless()) {
            trader.lookedAt(span);
          }
        });
    clock.onSeek(to -> focus.end());
    clock.onSeek(alerts::sought);
    practice = new PracticeDesk(day, this, trader);
    research = new ResearchDesk(this);
    beginFeeds();
    alerts.follow();
    alertDesk.book().addListener((o, was, is) -> askForAlerts());
    lists.lists().addListener((o, was, is) -> askForAlerts());
    trader.book().addListener((o, was, is) -> askForAlerts());
    endInOrder();
  }

  private void beginFeeds() {
    LiveFeed live = feed();
    if (live != null) {
      live.start(fills -> Platform.runLater(() -> trader.filled(fills)), troubles::tell);
    }
    DropCopy copy = dropCopy();
    if (copy != null) {
      copy.start(fills -> Platform.runLater(() -> trader.filled(fills)));
    }
  }

  private void endInOrder() {
    end.onLeave("what was looked at", focus::end);
    end.onLeave("the scans", desk::close);
    end.onLeave(
        "the moment",
        () -> {
          if (!end.isTraceless()) {
            ledger().leaveAt(day(), clock.now());
          }
        });
    LiveFeed live = feed();
    if (live != null) {
      end.onFinish("the session's record", lost -> live.close());
    }
    DropCopy copy = dropCopy();
    if (copy != null) {
      end.onFinish("the broker's fills", lost -> copy.close());
    }
    end.onFinish("the player", lost -> clock.close());
    end.onFinish("what was asked of past sessions", lost -> answers.stopLongQuestions());
    end.onFinish("scan files", lost -> answers.close());
    end.onFinish("the ledger", lost -> lost.addAll(ledger().finish()));
    end.onFinish(
        "the session's columns",
        lost -> {
          if (live != null && live.told() >= session().hours().close()) {
            day.keepColumns();
          }
        });
    end.onFinish("the folder's lock", lost -> day.connections().release());
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

  /** Replays what the scans and levels as they are now find. */
  private void replay() {
    asked = alertScans();
    keepScans();
    alerts.programChanged();
    clock.replay(new Program(desk.scans(), book().get().levels(), asked));
  }

  /**
   * Keeps each scan and alert as it is now, so that its hits can be told from those of its later
   * versions.
   */
  private void keepScans() {
    desk.scans().forEach(scan -> ledger().add(day(), scan));
    asked.forEach(alert -> ledger().add(day(), alert));
  }

  /** Lets what has been set count. */
  private void use(Settings was, Settings is) {
    String look = is.text(SettingCatalogue.THEME);
    if (!look.equals(was.text(SettingCatalogue.THEME))) {
      window.theme().set(Theme.of(look));
    }
    if (!is.text(SettingCatalogue.TEXT_SIZE).equals(was.text(SettingCatalogue.TEXT_SIZE))) {
      Theme.textSize(is.number(SettingCatalogue.TEXT_SIZE) / 100);
      window.drawAgain();
    }
    if (!is.review().equals(was.review())) {
      refreshReview();
    }
  }

  private void keep(Settings changed) {
    if (!end.isTraceless() && day.connections().isWritable()) {
      answers.behind(
          "writing settings.json (the change holds until the window is closed)",
          () -> SettingsFile.write(folder(), changed));
    }
  }

  /** Does what follows from the trader's doing. */
  private final class TraderListener implements TraderDay.Listener {
    @Override
    public void levelsChanged() {
      replay();
    }

    @Override
    public Undoable undoable() {
      return undo;
    }

    @Override
    public void told(String words) {
      window.action().set(words);
    }
  }

  /** Makes the review of the moment shown. */
  public void refreshReview() {
    review.refresh(List.copyOf(desk.scans()), clock.hits(), book().get());
  }

  /** The session. */
  public Session session() {
    return day.session();
  }

  /** The date of the session. */
  public LocalDate day() {
    return day.date();
  }

  /** Where the events of a session that still goes on come from; null for a recorded one. */
  public @Nullable LiveFeed feed() {
    return day.connections().feed();
  }

  /** The times when the feed did not tell what happened as it happened; none of a recorded day. */
  public List<FeedGap> feedGaps() {
    LiveFeed live = feed();
    return live == null ? List.of() : live.gaps();
  }

  /** The broker's drop copy; null for none. */
  public @Nullable DropCopy dropCopy() {
    return day.connections().dropCopy();
  }

  /** The recorded sessions before this one. */
  public EarlierSessions earlier() {
    return day.market().earlier();
  }

  /** The data folder. */
  public Path folder() {
    return day.files().folder().root();
  }

  /** Whether what the trader does is kept: not when another window has the folder. */
  public boolean isKept() {
    return day.connections().isWritable();
  }

  /** The ledger of the data folder. */
  public Ledger ledger() {
    return day.connections().ledger();
  }

  /** The sessions of the folder that are over. */
  public PastSessions past() {
    return past;
  }

  /** What the trader looks for now, of which past sessions are reviewed. */
  public WantedHits wanted() {
    return new WantedHits(List.copyOf(desk.scans()), lists.lists().get(), alertDesk.book().get());
  }

  /** The moment shown, and how the day goes on from there. */
  public DayClock clock() {
    return clock;
  }

  /** The symbol that is looked at. */
  public Focus focus() {
    return focus;
  }

  /** What the window shows where. */
  public WindowState window() {
    return window;
  }

  /** The ways to another day. */
  public Navigation navigation() {
    return navigation;
  }

  /** What is asked and done behind the window. */
  public Answers answers() {
    return answers;
  }

  /** The edits that can be taken back. */
  public UndoStack undoStack() {
    return undo;
  }

  /** How the day is let go of. */
  public DayEnd end() {
    return end;
  }

  /** What has gone wrong. */
  public Troubles troubles() {
    return troubles;
  }

  /** Whether somebody is at the windows. */
  public Presence presence() {
    return presence;
  }

  /** What the trader has set. */
  public SettingDesk settings() {
    return settings;
  }

  /** The scans and universes in use, and what changes them. */
  public ScanDesk desk() {
    return desk;
  }

  /** The scans in use. */
  public List<Scan> scans() {
    return desk.scans();
  }

  /** The scan whose matches are listed. */
  public ObjectProperty<Scan> shownScan() {
    return desk.shown();
  }

  /** The trader's own watchlists. */
  public ListDesk lists() {
    return lists;
  }

  /** The trader's alerts. */
  public AlertDesk alertDesk() {
    return alertDesk;
  }

  /** Which alerts sound and pop up. */
  public Alerts alerts() {
    return alerts;
  }

  /** What the trader does on this day is done through it. */
  public TraderDay trader() {
    return trader;
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

  /** The review of the moment shown. */
  public ReviewOfNow review() {
    return review;
  }

  @Override
  public void close() {
    end.leave();
    end.finish().forEach(troubles::tell);
  }
}
