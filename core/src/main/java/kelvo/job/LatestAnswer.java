package kelvo.job;

import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * Answers one kind of question behind a window or a player, one at a time and always the newest:
 * what is asked while another question is being answered waits, and only the last of those is asked
 * in the end. A question that throws is told, and the next one runs.
 *
 * <pre>{@code
 * LatestAnswer reviews = new LatestAnswer(background, Platform::runLater, this::tell);
 * reviews.ask(stop -> DayReview.of(session, ..), review::set);
 * }</pre>
 *
 * <p>Used on one home thread, to which answers come back; questions run on the worker.
 */
public final class LatestAnswer {
  private final Executor worker;
  private final Executor home;
  private final Consumer<RuntimeException> failed;
  private @Nullable Asked<?> running;
  private @Nullable Asked<?> next;

  /** Something to find out. */
  @FunctionalInterface
  public interface Question<T> {
    /**
     * Finds the answer, on the worker.
     *
     * @param progress a long job tells it how far it is, so that it can be stopped
     */
    T answer(Progress progress);
  }

  private static final class Asked<T> {
    final Question<T> question;
    final Consumer<T> answer;
    volatile boolean stopped;

    Asked(Question<T> question, Consumer<T> answer) {
      this.question = question;
      this.answer = answer;
    }
  }

  /**
   * Nothing is asked yet.
   *
   * @param worker where questions run
   * @param home the thread on which everything else happens
   * @param failed hears, at home, of a question or of the taking of an answer that threw
   */
  public LatestAnswer(Executor worker, Executor home, Consumer<RuntimeException> failed) {
    this.worker = worker;
    this.home = home;
    this.failed = failed;
  }

  /** Asks once the question that runs has been answered; replaces one that still waits. */
  public <T> void ask(Question<T> question, Consumer<T> answer) {
    next = new Asked<>(question, answer);
    if (running == null) {
      begin();
    }
  }

  /** Asks at once: the question that runs is stopped, and its answer never comes. */
  public <T> void askInstead(Question<T> question, Consumer<T> answer) {
    stop();
    ask(question, answer);
  }

  /** Stops the question that runs and forgets the one that waits; neither answer comes. */
  public void stop() {
    next = null;
    if (running != null) {
      running.stopped = true;
    }
  }

  /** Whether an answer is still to come. */
  public boolean isBusy() {
    return next != null || (running != null && !running.stopped);
  }

  private void begin() {
    Asked<?> asked = next;
    next = null;
    running = asked;
    if (asked != null) {
      try {
        worker.execute(() -> work(asked));
      } catch (RejectedExecutionException closed) {
        running = null;
      }
    }
  }

  private <T> void work(Asked<T> asked) {
    try {
      T found = asked.question.answer(part -> goOn(asked));
      home.execute(() -> end(asked, () -> asked.answer.accept(found)));
    } catch (CancellationException e) {
      home.execute(() -> end(asked, () -> {}));
    } catch (RuntimeException | Error e) {
      RuntimeException told = e instanceof RuntimeException r ? r : new IllegalStateException(e);
      home.execute(() -> end(asked, () -> failed.accept(told)));
    }
  }

  private static void goOn(Asked<?> asked) {
    if (asked.stopped) {
      throw new CancellationException();
    }
  }

  private void end(Asked<?> asked, Runnable tell) {
    running = null;
    try {
      if (!asked.stopped) {
        tell.run();
      }
    } catch (RuntimeException e) {
      failed.accept(e);
    } finally {
      if (running == null) {
        begin();
      }
    }
  }
}
