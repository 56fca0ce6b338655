package kelvo.desktop.shell;

import java.nio.file.Path;
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
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The JavaFX application: shows progress while a day is read, then the main window. */
public final class KelvoWindow extends Application {
  private static final Logger LOG = LoggerFactory.getLogger(KelvoWindow.class);
  private static final AtomicReference<@Nullable OpenRequest> REQUEST = new AtomicReference<>();
  private static final AtomicInteger EXIT_CODE = new AtomicInteger();

  private @Nullable Workspace workspace;

  /** Opens a window and returns the process's exit code when it is closed. */
  public static int open(OpenRequest request) {
    REQUEST.set(request);
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
    Theme.loadFonts();
    setUserAgentStylesheet(request.theme().baseStyles());
    LoadingPane loading = new LoadingPane();
    Scene scene =
        new Scene(
            new BorderPane(loading),
            request.smoke() ? 1600 : WindowLayout.USUAL.width(),
            request.smoke() ? 1200 : WindowLayout.USUAL.height());
    scene.getStylesheets().setAll(request.theme().styles());
    stage.setTitle("Kelvo");
    stage.setScene(scene);
    stage.show();
    Thread reader = new Thread(() -> load(stage, request, loading), "reader");
    reader.setDaemon(true);
    reader.start();
  }

  private void load(Stage stage, OpenRequest request, LoadingPane loading) {
    try {
      OpenedDay day = request.load().day(loading);
      WindowLayout layout =
          request.isShowOnly() ? WindowLayout.USUAL : WindowLayout.in(day.scanFolder().root());
      WindowSets sets =
          request.isShowOnly() ? WindowSets.NONE : WindowSets.in(day.scanFolder().root());
      Platform.runLater(() -> opened(stage, request, day, layout, sets));
    } catch (CancellationException e) {
      Platform.runLater(() -> exit(0));
    } catch (RuntimeException e) {
      LOG.error("the day could not be opened", e);
      Platform.runLater(() -> failed(request, loading, String.valueOf(e.getMessage())));
    }
  }

  private static void failed(OpenRequest request, LoadingPane loading, String message) {
    loading.fail(message);
    if (request.isShowOnly()) {
      exit(1);
    }
  }

  private void opened(
      Stage stage, OpenRequest request, OpenedDay day, WindowLayout layout, WindowSets sets) {
    long left = day.ledger().leftAt(day.session().hours().date()).orElse(request.otherwiseAt());
    long moment = request.at() >= 0 ? request.at() : left;
    Workspace opened = new Workspace(day, moment, request.theme());
    workspace = opened;
    MainWindow window = new MainWindow(opened, day.faults());
    boolean showOnly = request.isShowOnly();
    Scene scene =
        window.scene(
            showOnly ? stage.getScene().getWidth() : layout.width(),
            showOnly ? stage.getScene().getHeight() : layout.height());
    stage.setScene(scene);
    window.arrange(layout);
    if (!showOnly) {
      stage.sizeToScene();
      Path folder = day.scanFolder().root();
      window.windows().keepIn(folder, sets);
      stage.setOnHidden(e -> window.windows().close());
      opened.onClose(() -> window.layoutNow().keepIn(folder));
    }
    if (request.pictures() != null) {
      new Pictures(opened, scene, request.pictures()).start();
    } else if (request.smoke()) {
      new SmokeRun(opened, window).start();
    } else {
      opened.focusOn(first(opened, moment));
      if (request.speed() > 0 && day.feed() == null) {
        window.play(request.speed());
      }
    }
  }

  /** The symbol to begin with: the first of the Ten at that moment, else nobody. */
  private static String first(Workspace opened, long moment) {
    return opened.book().get().theTen(moment).stream().findFirst().map(d -> d.symbol()).orElse("");
  }

  @Override
  public void stop() {
    if (workspace != null) {
      workspace.close();
    }
  }
}
