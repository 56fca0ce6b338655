package kelvo.desktop.workspace;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;

/**
 * Threads for questions that take long, such as playing past sessions, so that what is written and
 * asked behind the window meanwhile waits for none of them. Whoever asks tells what throws, as
 * {@link kelvo.job.LatestAnswer} does. Closing stops them.
 */
final class LongQuestions implements Executor, AutoCloseable {
  private static final long TIMEOUT_SECONDS = 20;

  private final ExecutorService threads =
      Executors.newCachedThreadPool(
          Thread.ofPlatform().daemon().name("long question ", 1).factory());

  @Override
  public void execute(Runnable question) {
    threads.execute(question);
  }

  /** Interrupts what goes on and waits for it, but not for long: nothing is lost with it. */
  @Override
  public void close() {
    threads.shutdownNow();
    try {
      threads.awaitTermination(TIMEOUT_SECONDS, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
