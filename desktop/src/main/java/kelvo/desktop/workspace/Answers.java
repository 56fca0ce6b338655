package kelvo.desktop.workspace;

import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import kelvo.job.LatestAnswer;

/**
 * What a window asks and does behind itself: short work in order on one thread, long questions on
 * threads of their own. What throws is told. Ask on the window's thread.
 */
public final class Answers {
  private final Troubles troubles;
  private final Background background;
  private final LongQuestions longQuestions = new LongQuestions();

  /** Nothing is asked yet. */
  Answers(Troubles troubles) {
    this.troubles = troubles;
    background = new Background(troubles);
  }

  /** The thread for work in order. */
  Background background() {
    return background;
  }

  /** Answers questions behind the window, the newest first; {@code what} names them in troubles. */
  public LatestAnswer latest(String what) {
    return latest(what, () -> {});
  }

  /** The same; {@code failed} is done in the window besides when a question has thrown. */
  public LatestAnswer latest(String what, Runnable failed) {
    return by(background, what, failed);
  }

  /** The same for questions that take long, for which no other waits. */
  public LatestAnswer slow(String what, Runnable failed) {
    return by(longQuestions, what, failed);
  }

  private LatestAnswer by(Executor worker, String what, Runnable failed) {
    return new LatestAnswer(
        worker,
        Platform::runLater,
        e -> {
          troubles.tell(what, e);
          failed.run();
        });
  }

  /** Does something behind the window, in order; {@code what} names it in troubles. */
  public void behind(String what, Runnable task) {
    if (!background.isClosed()) {
      background.execute(what, task);
    }
  }

  /**
   * Works something out behind the window and hands the answer to it; nothing once it is closed. A
   * question that throws is told.
   */
  public <T> void workOut(Supplier<T> question, Consumer<T> answer) {
    behind(
        "work behind the window",
        () -> {
          T found = question.get();
          Platform.runLater(() -> answer.accept(found));
        });
  }

  /** Stops the long questions; on any thread. */
  void stopLongQuestions() {
    longQuestions.close();
  }

  /** Does what has been asked for in order, then stops; on any thread. */
  void close() {
    background.close();
  }
}
