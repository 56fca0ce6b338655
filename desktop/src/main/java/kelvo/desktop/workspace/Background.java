package kelvo.desktop.workspace;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;

/**
 * The one thread on which a window has work done in order: files written, questions answered. What
 * throws there is told and the next task runs.
 */
final class Background implements Executor, AutoCloseable {
  private static final long TIMEOUT_SECONDS = 60;

  private final Troubles troubles;
  private final ExecutorService thread =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("background").factory());

  Background(Troubles troubles) {
    this.troubles = troubles;
  }

  @Override
  public void execute(Runnable task) {
    execute("work behind the window", task);
  }

  /** Does something whose name completes "went wrong". */
  void execute(String what, Runnable task) {
    thread.execute(
        () -> {
          try {
            task.run();
          } catch (RuntimeException | Error e) {
            troubles.tell(what, e);
          }
        });
  }

  boolean isClosed() {
    return thread.isShutdown();
  }

  /** Does what has been asked for, then stops; gives up after a minute and says so. */
  @Override
  public void close() {
    thread.shutdown();
    try {
      if (!thread.awaitTermination(TIMEOUT_SECONDS, TimeUnit.SECONDS)) {
        troubles.tell("Work behind the window did not end in time; the last change may be lost.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
