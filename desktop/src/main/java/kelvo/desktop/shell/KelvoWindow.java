package kelvo.desktop.shell;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;
import kelvo.desktop.theme.Theme;
import kelvo.desktop.windows.WindowSets;
import kelvo.desktop.workspace.NoSuchSession;
import kelvo.desktop.workspace.OpenedDay;
import kelvo.desktop.workspace.Workspace;
import kelvo.watchlist.TheTen;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The JavaFX application: shows progress while a day is read, then the main window. */
public final class KelvoWindow extends Application {
  private static final Logger LOG = LoggerFactory.getLogger(KelvoWindow.class);
  private static final AtomicReference<@Nullable OpenRequest> REQUEST = new AtomicReference<>();
  private static final AtomicInteger EXIT_CODE = new AtomicInteger();

  private static final int MAX_DATES = 6;
  private static final double MIN_WIDTH = 1024;
  private static final double MIN_HEIGHT = 700;

  /** Held here, since a logger that nobody holds forgets its filter. */
  private static final java.util.logging.Logger JAVAFX =
      java.util.logging.Logger.getLogger("javafx");

  /** What JavaFX says of the class path, on which it lies for the JDK's cache (decision 24). */
  private static final String ON_CLASS_PATH = "Unsupported JavaFX configuration";

  private volatile @Nullable Workspace workspace;
  private boolean finished;

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
    show(stage, request);
  }

  /** Shows a window in a stage and begins to read the day; on the window's thread. */
  void show(Stage stage, OpenRequest request) {
    Theme.loadFonts();
    Theme theme = request.theme() == null ? Theme.DAYBREAK : request.theme();
    setUserAgentStylesheet(theme.baseStyles());
    Thread.setDefaultUncaughtExceptionHandler(this::uncaught);
    Scene scene =
        new Scene(
            new BorderPane(),
            request.smoke() ? 1600 : WindowLayout.DEFAULT.width(),
            request.smoke() ? 1200 : WindowLayout.DEFAULT.height());
    scene.getStylesheets().setAll(theme.styles());
    stage.setTitle("Kelvo");
    stage.setScene(scene);
    stage.show();
    read(stage, request);
  }

  /** What nobody has caught is told in the window, and logged in any case. */
  private void uncaught(Thread thread, Throwable error) {
    Workspace opened = workspace;
    if (opened == null) {
      LOG.error("thread {} has ended", thread.getName(), error);
    } else {
      opened.troubles().tell("work on the thread \"" + thread.getName() + "\"", error);
    }
  }

  private void read(Stage stage, OpenRequest request) {
    LoadingPane loading = LoadingPane.reading();
    stage.getScene().setRoot(new BorderPane(loading));
    Thread reader = new Thread(() -> load(stage, request, loading), "reader");
    reader.setDaemon(true);
    reader.start();
  }

  private void load(Stage stage, OpenRequest request, LoadingPane loading) {
    try {
      OpenedDay day = request.load().day(loading);
      boolean own = !request.isShowOnly();
      WindowLayout layout = own ? WindowLayout.in(day.scanFolder().root()) : WindowLayout.DEFAULT;
      WindowSets sets = own ? WindowSets.in(day.scanFolder().root()) : WindowSets.NONE;
      Platform.runLater(() -> opened(stage, request, day, layout, sets));
    } catch (CancellationException e) {
      Platform.runLater(() -> exit(0));
    } catch (RuntimeException | Error e) {
      LOG.error("The day could not be opened: {}", e.getMessage(), e);
      Platform.runLater(() -> failed(stage, request, loading, e));
    }
  }

  /** Says why, and offers what can be done instead. */
  private void failed(Stage stage, OpenRequest request, LoadingPane loading, Throwable error) {
    String message = error.getMessage() == null ? error.toString() : error.getMessage();
    loading.fail("The day could not be opened. " + message + ".");
    if (request.isShowOnly()) {
      exit(1);
      return;
    }
    if (error instanceof NoSuchSession none) {
      List<LocalDate> dates = none.dates();
      for (LocalDate date :
          dates.subList(Math.max(0, dates.size() - MAX_DATES), dates.size()).reversed()) {
        OpenRequest.Load other = request.load().on(date);
        if (other != null) {
          loading.choice("Open " + date, () -> read(stage, request.of(other)));
        }
      }
    } else {
      loading.choice("Try again", () -> read(stage, request));
    }
    loading.choice("Close", () -> exit(1));
  }

  private void opened(
      Stage stage, OpenRequest request, OpenedDay day, WindowLayout layout, WindowSets sets) {
    long left = day.ledger().leftAt(day.session().hours().date()).orElse(request.otherwiseAt());
    long moment = request.at() >= 0 ? request.at() : left;
    Workspace opened = new Workspace(day, moment, theme(request, layout.look()));
    workspace = opened;
    MainWindow window = new MainWindow(opened, day.faults());
    boolean showOnly = request.isShowOnly();
    Scene scene =
        window.scene(
            showOnly ? stage.getScene().getWidth() : layout.width(),
            showOnly ? stage.getScene().getHeight() : layout.height());
    stage.setScene(scene);
    window.arrange(layout);
    if (showOnly) {
      opened.keepNothing();
    } else {
      stage.setMinWidth(MIN_WIDTH);
      stage.setMinHeight(MIN_HEIGHT);
      stage.sizeToScene();
      window.showAgain(layout.look());
      if (layout.look().isOnAScreen()) {
        stage.setX(layout.look().x());
        stage.setY(layout.look().y());
      }
      Path folder = day.scanFolder().root();
      window.windows().keepIn(folder, sets);
      opened.onClose(window.windows()::close);
      if (day.isWritable()) {
        opened.onClose(() -> window.layoutNow().keepIn(folder));
      } else {
        window.windows().forget();
      }
      stage.setOnCloseRequest(
          e -> {
            e.consume();
            leave(stage, opened);
          });
    }
    if (request.pictures() != null) {
      new Pictures(opened, scene, request.pictures(), Pictures.MAIN_VIEWS, KelvoWindow::exit)
          .start();
    } else if (request.smoke()) {
      new SmokeRun(opened, window).start();
    } else {
      opened.focusOn(first(opened, moment));
      if (request.speed() > 0 && day.feed() == null) {
        window.play(request.speed());
      }
    }
  }

  /** The one that was asked for, else the last one. */
  private static Theme theme(OpenRequest request, LastLook look) {
    Theme wanted = request.theme() == null ? look.theme() : request.theme();
    return wanted == null ? Theme.DAYBREAK : wanted;
  }

  /** The symbol to begin with: the first of the Ten at that moment, else nobody. */
  private static String first(Workspace opened, long moment) {
    return TheTen.at(opened.book().get(), moment).symbols().stream().findFirst().orElse("");
  }

  /** Saves the day behind the window, which says so, and closes it when all is on disk. */
  private void leave(Stage stage, Workspace opened) {
    if (finished) {
      return;
    }
    finished = true;
    opened.leave();
    LoadingPane saving = LoadingPane.saving();
    stage.getScene().setRoot(new BorderPane(saving));
    Thread closing =
        new Thread(
            () -> {
              List<String> lost = opened.finish();
              Platform.runLater(() -> left(saving, lost));
            },
            "closing");
    closing.start();
  }

  private static void left(LoadingPane saving, List<String> lost) {
    if (lost.isEmpty()) {
      exit(0);
    } else {
      saving.fail(String.join("\n", lost));
      saving.choice("Close", () -> exit(1));
    }
  }

  @Override
  public void stop() {
    Workspace opened = workspace;
    if (opened != null && !finished) {
      finished = true;
      opened.close();
    }
  }
}
