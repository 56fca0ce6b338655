package kelvo.desktop.shell;

import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import kelvo.data.fault.PlainReason;
import kelvo.data.timing.Timeline;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.windows.WindowSets;
import kelvo.desktop.workspace.NoSuchSession;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.OtherDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.job.Progress;
import kelvo.setting.SettingCatalogue;
import kelvo.setting.Settings;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The JavaFX application: lets a day be chosen, shows progress while it is read, then the main
 * window.
 */
public final class KelvoWindow extends Application {
  private static final Logger LOG = LoggerFactory.getLogger(KelvoWindow.class);
  private static final AtomicReference<@Nullable OpenRequest> REQUEST = new AtomicReference<>();
  private static final AtomicInteger EXIT_CODE = new AtomicInteger();

  private static final Duration LONGEST_LEAVING = Duration.ofSeconds(3);
  private static final Duration LONGEST_SAVING = Duration.ofSeconds(60);

  private static final double MIN_WIDTH = 1024;
  private static final double MIN_HEIGHT = 700;

  /** Held here, since a logger that nobody holds forgets its filter. */
  private static final java.util.logging.Logger JAVAFX =
      java.util.logging.Logger.getLogger("javafx");

  /** What JavaFX says of the class path, on which it lies for the JDK's cache (decision 24). */
  private static final String ON_CLASS_PATH = "Unsupported JavaFX configuration";

  private volatile @Nullable Workspace workspace;

  /** Saves the day that was left last; null before any was. */
  private final Saving closing = new Saving();

  private final WorkBeside beside = new WorkBeside();

  /** Of the start, on the window's thread. */
  private final Timeline timeline = Timeline.sinceStart(System.err);

  /** Whether the day that is read is to be covered. */
  private boolean blind;

  /** The symbol in focus when the day is read again; null for a day opened anew. */
  private @Nullable String again;

  /** Opens a window and returns the process's exit code when it is closed. */
  public static int open(OpenRequest request) {
    REQUEST.set(request);
    JAVAFX.setFilter(line -> !String.valueOf(line.getMessage()).startsWith(ON_CLASS_PATH));
    launch(KelvoWindow.class);
    return EXIT_CODE.get();
  }

  static void exit(int code) {
    EXIT_CODE.set(code);
    Platform.exit();
  }

  @Override
  public void start(Stage stage) {
    OpenRequest request = REQUEST.get();
    if (request == null) {
      throw new IllegalStateException("use KelvoWindow.open");
    }
    Runtime.getRuntime().addShutdownHook(new Thread(this::endInOrder, "end of the window"));
    show(stage, request);
  }

  /** Shows a window in a stage and begins to read the day; on the window's thread. */
  void show(Stage stage, OpenRequest request) {
    Theme.loadFonts();
    Theme theme = request.theme() == null ? Theme.DAYBREAK : request.theme();
    setUserAgentStylesheet(theme.baseStyles());
    Thread.setDefaultUncaughtExceptionHandler(this::uncaught);
    Scene scene =
        new Scene(new BorderPane(), WindowLayout.DEFAULT.width(), WindowLayout.DEFAULT.height());
    scene.getStylesheets().setAll(theme.styles());
    stage.setTitle("Kelvo");
    stage.setScene(scene);
    stage.show();
    if (!request.isShowOnly()) {
      ScreenRoom.fit(stage);
    }
    timeline.done("first page");
    read(stage, request);
  }

  /** What nobody has caught is told in the window, and logged in any case. */
  private void uncaught(Thread thread, Throwable error) {
    tell("work on the thread \"" + thread.getName() + "\"", error);
  }

  private void tell(String what, Throwable error) {
    Workspace opened = workspace;
    if (opened == null) {
      LOG.error("{} went wrong", what, error);
    } else {
      opened.troubles().tell(what, error);
    }
  }

  /** What it works on; null while no day is open. */
  @Nullable Workspace opened() {
    return workspace;
  }

  /** Fills the window with a page of its own, which knows nothing of the keys of a day. */
  private static void put(Stage stage, Parent page) {
    Scene before = stage.getScene();
    Scene scene = new Scene(new BorderPane(page), before.getWidth(), before.getHeight());
    scene.getStylesheets().setAll(before.getStylesheets());
    stage.setScene(scene);
  }

  /** Reads what is wanted, or asks what that is. */
  private void read(Stage stage, OpenRequest request) {
    OpenRequest.Load load = request.load();
    if (load == null) {
      choose(stage, request);
      return;
    }
    LoadingPane loading = LoadingPane.reading(load.words());
    put(stage, loading);
    Thread reader = new Thread(() -> read(stage, request, load, loading), "reader");
    reader.setDaemon(true);
    reader.start();
  }

  private OpeningPage choose(Stage stage, OpenRequest request) {
    OpeningPage page =
        new OpeningPage(request.places(), load -> read(stage, request.of(load)), () -> exit(0));
    put(stage, page);
    return page;
  }

  private void read(Stage stage, OpenRequest request, OpenRequest.Load load, LoadingPane loading) {
    OpenedDay day = null;
    try {
      day = load.day(loading);
      boolean own = !request.isShowOnly();
      Path root = day.files().folder().root();
      List<String> faults = new ArrayList<>(day.faults());
      WindowLayout layout = own ? WindowLayout.in(root, faults::add) : WindowLayout.DEFAULT;
      WindowSets sets = own ? WindowSets.in(root, faults::add) : WindowSets.NONE;
      if (own) {
        request.places().opened(root);
      }
      OpenRequest.Beside work = day.connections().isWritable() ? load.beside() : null;
      if (work != null && request.pictures() != null) {
        // Pictures show what is there once it is done.
        work.work(loading);
      }
      OpenRequest.Beside whileOpen = own ? work : null;
      OpenedDay read = day;
      Platform.runLater(
          () -> openedOrFailed(stage, request, load, read, faults, layout, sets, whileOpen));
    } catch (CancellationException e) {
      abandon(day, e);
      Platform.runLater(() -> choose(stage, request));
    } catch (RuntimeException | Error e) {
      abandon(day, e);
      LOG.error("The day could not be opened: {}", e.getMessage(), e);
      Platform.runLater(() -> failed(stage, request, load, e));
    }
  }

  private static void abandon(@Nullable OpenedDay day, Throwable why) {
    if (day != null) {
      day.abandon(why);
    }
  }

  /** A window that could not be built must not keep the ledger, and with it the process, open. */
  private void openedOrFailed(
      Stage stage,
      OpenRequest request,
      OpenRequest.Load load,
      OpenedDay day,
      List<String> faults,
      WindowLayout layout,
      WindowSets sets,
      OpenRequest.@Nullable Beside work) {
    try {
      opened(stage, request, day, faults, layout, sets, work);
    } catch (RuntimeException | Error e) {
      Workspace begun = workspace;
      workspace = null;
      if (begun == null) {
        day.abandon(e);
      } else {
        begun.close();
      }
      LOG.error("The window could not be built: {}", e.getMessage(), e);
      failed(stage, request, load, e);
    }
  }

  /** Says why, and offers what can be opened instead. */
  private void failed(Stage stage, OpenRequest request, OpenRequest.Load load, Throwable error) {
    if (request.isShowOnly()) {
      exit(1);
      return;
    }
    String sentence = "The day could not be opened: " + PlainReason.of(error) + ".";
    OpeningPage page = choose(stage, request);
    if (error instanceof NoSuchSession none) {
      page.failed(sentence, none.folder(), none.dates());
    } else {
      page.failed(sentence, load);
    }
  }

  private void opened(
      Stage stage,
      OpenRequest request,
      OpenedDay day,
      List<String> faults,
      WindowLayout layout,
      WindowSets sets,
      OpenRequest.@Nullable Beside work) {
    timeline.done("reading the day");
    long left = day.connections().ledger().leftAt(day.date()).orElse(request.otherwiseAt());
    long moment = request.at() >= 0 ? request.at() : left;
    Workspace opened = new Workspace(day, moment, theme(request, day.files().settings()));
    workspace = opened;
    opened.window().beside().bind(beside.words());
    MainWindow window = new MainWindow(opened, faults);
    boolean showOnly = request.isShowOnly();
    Scene scene =
        window.scene(
            showOnly ? stage.getScene().getWidth() : layout.width(),
            showOnly ? stage.getScene().getHeight() : layout.height());
    stage.setScene(scene);
    window.arrange(layout);
    if (showOnly) {
      opened.end().keepNothing();
    } else {
      stage.setMinWidth(MIN_WIDTH);
      stage.setMinHeight(MIN_HEIGHT);
      stage.sizeToScene();
      window.showAgain(layout.look());
      if (layout.look().isOnAScreen()) {
        stage.setX(layout.look().x());
        stage.setY(layout.look().y());
      }
      ScreenRoom.fit(stage);
      Path folder = day.files().folder().root();
      if (blind) {
        // Windows of their own would tell what it is.
        window.goBlind();
        window.windows().forget();
      } else {
        window.windows().keepIn(folder, sets);
      }
      blind = false;
      opened.end().onClose(window.windows()::close);
      if (day.connections().isWritable()) {
        opened.end().onClose(() -> window.layoutNow().keepIn(folder));
      } else {
        window.windows().forget();
      }
      stage.setOnCloseRequest(
          e -> {
            e.consume();
            leave(stage, opened, () -> exit(0));
          });
      opened.navigation().onReadAgain(() -> readAgain(stage, request, opened));
      opened.navigation().onOpen(other -> open(stage, request, opened, other));
      opened.navigation().onOtherDay(() -> leave(stage, opened, () -> choose(stage, request)));
    }
    LOG.info("The day {} is open", day.date());
    timeline.done("building the window");
    if (request.pictures() != null) {
      new Pictures(opened, scene, request.pictures(), Pictures.MAIN_VIEWS, KelvoWindow::exit)
          .start();
    } else if (request.smoke()) {
      new SmokeRun(opened, window, timeline).start();
    } else {
      opened.focus().on(again == null ? first(opened, moment) : again);
      again = null;
      if (request.speed() > 0 && day.connections().feed() == null) {
        window.play(request.speed());
      }
      if (work != null) {
        begin(work);
      }
    }
  }

  /** Begins what is to go on beside the day. */
  private void begin(OpenRequest.Beside work) {
    beside.begin(
        work,
        () -> {
          Workspace now = workspace;
          if (now != null) {
            now.window().pastHasGrown(work.done());
          }
        },
        error -> tell(work.words(), error));
  }

  /** The one that was asked for, else the one that is set. */
  private static Theme theme(OpenRequest request, Settings settings) {
    return request.theme() == null
        ? Theme.of(settings.text(SettingCatalogue.THEME))
        : request.theme();
  }

  /** The symbol to begin with: the first of the Ten at that moment, else nobody. */
  private static String first(Workspace opened, long moment) {
    return TheTen.at(opened.book().get(), moment).symbols().stream().findFirst().orElse("");
  }

  /** Saves the day and reads it again, since it has to be read with something that has changed. */
  private void readAgain(Stage stage, OpenRequest request, Workspace opened) {
    OpenRequest.Load load = request.load();
    if (load != null) {
      again = opened.focus().symbol().get();
      leave(stage, opened, () -> read(stage, request.of(load)));
    }
  }

  /** Saves the day and opens another date of its folder, with the stage that is in front. */
  private void open(Stage stage, OpenRequest request, Workspace opened, OtherDay other) {
    Path folder = opened.folder();
    again = other.symbol().isEmpty() ? null : other.symbol();
    blind = other.blind();
    OpenRequest.Load load =
        new OpenRequest.Load() {
          @Override
          public OpenedDay day(Progress progress) {
            return OpenedDay.open(folder, other.date(), progress);
          }

          @Override
          public String words() {
            return other.blind() ? "another session" : "the session of " + other.date();
          }
        };
    leave(stage, opened, () -> read(stage, request.of(load).at(other.moment())));
  }

  /** Saves the day behind the window, which says so, and goes on when all is on disk. */
  private void leave(Stage stage, Workspace opened, Runnable then) {
    if (opened.end().isLeft()) {
      return;
    }
    opened.end().leave();
    LoadingPane saving = LoadingPane.saving();
    put(stage, saving);
    stage.setOnCloseRequest(WindowEvent::consume);
    closing.begin(
        () -> {
          List<String> lost = opened.end().finish();
          Platform.runLater(() -> left(stage, saving, lost, then));
        });
  }

  private void left(Stage stage, LoadingPane saving, List<String> lost, Runnable then) {
    workspace = null;
    stage.setOnCloseRequest(e -> exit(0));
    if (lost.isEmpty()) {
      then.run();
    } else {
      saving.fail(String.join("\n", lost));
      saving.choice("Close", () -> exit(1));
    }
  }

  /**
   * The process is told to end from outside, by the system or by a signal: what is kept is kept as
   * when the window is closed. Runs on a thread that the process waits for.
   */
  private void endInOrder() {
    awaitSaving();
    Workspace opened = workspace;
    if (opened == null || opened.end().isLeft()) {
      return;
    }
    CompletableFuture<Boolean> leaving = new CompletableFuture<>();
    Platform.runLater(
        () -> {
          opened.end().leave();
          leaving.complete(true);
        });
    try {
      leaving.get(LONGEST_LEAVING.toMillis(), TimeUnit.MILLISECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException | TimeoutException e) {
      // JavaFX ends its threads at the same time, and the window's may be gone before us.
      opened.end().leave();
    }
    opened.end().finish().forEach(lost -> LOG.error("{}", lost));
  }

  /** While "saving" stands, the process must not end under it. */
  private void awaitSaving() {
    if (!closing.await(LONGEST_SAVING)) {
      LOG.error("The day was not saved within {} s", LONGEST_SAVING.toSeconds());
    }
  }

  @Override
  public void stop() {
    beside.stop();
    Workspace opened = workspace;
    if (opened != null && !opened.end().isLeft()) {
      opened.close();
    }
    workspace = null;
  }
}
