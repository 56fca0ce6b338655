package kelvo.desktop.shell;

import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import kelvo.job.Progress;

/**
 * Long work that goes on beside an opened day, on a thread of its own that ends with the process.
 * What throws there is told to who began it. Used on the window's thread.
 */
final class WorkBeside {
  private static final double WHOLE = 100;

  private final ReadOnlyStringWrapper words = new ReadOnlyStringWrapper("");
  private volatile boolean stopped;

  /** How far it is, in words; empty while nothing goes on. */
  ReadOnlyStringProperty words() {
    return words.getReadOnlyProperty();
  }

  /** Whether it still goes on. */
  boolean isGoingOn() {
    return !words.get().isEmpty();
  }

  /**
   * Begins, unless something goes on already.
   *
   * @param done runs on the window's thread once it is all done
   * @param failed hears on the window's thread of what was thrown
   */
  void begin(OpenRequest.Beside work, Runnable done, Consumer<Throwable> failed) {
    if (isGoingOn()) {
      return;
    }
    stopped = false;
    words.set(work.words());
    Thread thread =
        new Thread(
            () -> {
              try {
                work.work(progress(work.words()));
                Platform.runLater(() -> end(done));
              } catch (CancellationException e) {
                Platform.runLater(() -> end(() -> {}));
              } catch (RuntimeException | Error e) {
                Platform.runLater(() -> end(() -> failed.accept(e)));
              }
            },
            "beside");
    thread.setDaemon(true);
    thread.start();
  }

  private Progress progress(String what) {
    return part -> {
      if (stopped) {
        throw new CancellationException();
      }
      Platform.runLater(
          () -> {
            if (isGoingOn()) {
              words.set(what + ", " + Math.round(part * WHOLE) + "%");
            }
          });
    };
  }

  private void end(Runnable then) {
    words.set("");
    then.run();
  }

  /** Lets it end at the next step; what it has done stays. */
  void stop() {
    stopped = true;
  }
}
