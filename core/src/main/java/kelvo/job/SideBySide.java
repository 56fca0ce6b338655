package kelvo.job;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorCompletionService;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;

/**
 * Does one long job on each of several things, as many at once as the machine has cores, on threads
 * of its own that end with it. The first job that throws stops the others, and is thrown again to
 * who asked; nobody else is told.
 */
public final class SideBySide {
  /** How often a stop is looked for while nothing is done, milliseconds. */
  private static final long LOOK = 50;

  private SideBySide() {}

  /** A job on one thing. */
  @FunctionalInterface
  public interface Job<T, R> {
    /**
     * Does it.
     *
     * @param progress of this thing alone; it throws once another job has failed or all are stopped
     */
    R of(T thing, Progress progress);
  }

  /**
   * The results in the order of the things.
   *
   * @param each hears of each result as it comes, in any order, on the thread that asks
   * @param progress hears on the thread that asks how many are done, and may stop all
   * @throws CancellationException when the progress stops it
   */
  public static <T, R> List<R> each(
      List<T> things, Job<T, R> job, Consumer<R> each, Progress progress) {
    int cores = Math.max(1, Runtime.getRuntime().availableProcessors());
    AtomicBoolean stopped = new AtomicBoolean();
    Progress going =
        part -> {
          if (stopped.get()) {
            throw new CancellationException();
          }
        };
    try (ExecutorService threads =
        Executors.newFixedThreadPool(Math.clamp(things.size(), 1, cores))) {
      ExecutorCompletionService<R> done = new ExecutorCompletionService<>(threads);
      List<Future<R>> results = new ArrayList<>();
      for (T thing : things) {
        results.add(done.submit(() -> job.of(thing, going)));
      }
      try {
        for (int i = 0; i < things.size(); i++) {
          progress.done((double) i / things.size());
          each.accept(next(done, progress, (double) i / things.size()));
        }
        progress.done(1);
        List<R> inOrder = new ArrayList<>();
        for (Future<R> result : results) {
          inOrder.add(result.resultNow());
        }
        return inOrder;
      } finally {
        stopped.set(true);
        threads.shutdownNow();
      }
    }
  }

  /**
   * Does several jobs of which nothing comes back, as {@link #each} does.
   *
   * @param jobs take a progress that throws once another has failed or all are stopped
   * @throws CancellationException when the progress stops them
   */
  public static void all(List<Consumer<Progress>> jobs, Progress progress) {
    each(
        jobs,
        (job, going) -> {
          job.accept(going);
          return job;
        },
        job -> {},
        progress);
  }

  /** Waits for one more result, and asks now and then whether to go on. */
  private static <R> R next(ExecutorCompletionService<R> done, Progress progress, double part) {
    try {
      Future<R> result = done.poll(LOOK, TimeUnit.MILLISECONDS);
      while (result == null) {
        progress.done(part);
        result = done.poll(LOOK, TimeUnit.MILLISECONDS);
      }
      return result.get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException();
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      if (e.getCause() instanceof Error cause) {
        throw cause;
      }
      throw new IllegalStateException(e.getCause());
    }
  }
}
