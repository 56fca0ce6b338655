package kelvo.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.RejectedExecutionException;
import org.junit.jupiter.api.Test;

/** Worker and home are queues that the test runs by hand, so that every order can be had. */
class LatestAnswerTest {
  private final Deque<Runnable> worker = new ArrayDeque<>();
  private final Deque<Runnable> home = new ArrayDeque<>();
  private final List<String> answers = new ArrayList<>();
  private final List<String> failures = new ArrayList<>();
  private final LatestAnswer latest =
      new LatestAnswer(worker::add, home::add, e -> failures.add(e.getMessage()));

  private void ask(String question) {
    latest.ask(stop -> question, answers::add);
  }

  private void runAll() {
    while (!worker.isEmpty() || !home.isEmpty()) {
      (worker.isEmpty() ? home : worker).remove().run();
    }
  }

  @Test
  void ofTheQuestionsAskedMeanwhileOnlyTheLastIsAnswered() {
    ask("first");
    ask("second");
    ask("third");

    runAll();

    assertThat(answers).containsExactly("first", "third");
    assertThat(latest.isBusy()).isFalse();
  }

  @Test
  void aQuestionThatThrowsIsToldAndTheNextOneRuns() {
    latest.ask(
        stop -> {
          throw new IllegalStateException("the disk is gone");
        },
        a -> answers.add("never"));
    ask("next");

    runAll();

    assertThat(failures).containsExactly("the disk is gone");
    assertThat(answers).containsExactly("next");
    assertThat(latest.isBusy()).isFalse();
  }

  @Test
  void anErrorIsToldTooAndAnAnswerThatCannotBeTaken() {
    latest.ask(
        stop -> {
          throw new StackOverflowError("too deep");
        },
        a -> answers.add("never"));
    runAll();
    latest.ask(
        stop -> "answer",
        a -> {
          throw new IllegalArgumentException("cannot be shown");
        });
    runAll();

    assertThat(failures).hasSize(2);
    assertThat(failures.get(0)).contains("too deep");
    assertThat(failures.get(1)).isEqualTo("cannot be shown");
    ask("goes on");
    runAll();
    assertThat(answers).containsExactly("goes on");
  }

  @Test
  void askingInsteadStopsTheOneThatRuns() {
    List<String> reached = new ArrayList<>();
    latest.ask(
        stop -> {
          stop.done(0.5);
          reached.add("the end");
          return "old";
        },
        answers::add);
    latest.askInstead(stop -> "new", answers::add);

    runAll();

    assertThat(reached).isEmpty();
    assertThat(answers).containsExactly("new");
    assertThat(failures).isEmpty();
  }

  @Test
  void whatIsStoppedIsNeverAnswered() {
    ask("found already");
    worker.remove().run();
    latest.stop();
    assertThat(latest.isBusy()).isFalse();

    runAll();

    assertThat(answers).isEmpty();
  }

  @Test
  void aQuestionMayGiveUpByItself() {
    latest.ask(
        stop -> {
          throw new CancellationException();
        },
        a -> answers.add("never"));
    runAll();

    assertThat(failures).isEmpty();
    assertThat(latest.isBusy()).isFalse();
  }

  @Test
  void nothingIsAskedOfAWorkerThatHasStopped() {
    LatestAnswer closed =
        new LatestAnswer(
            task -> {
              throw new RejectedExecutionException();
            },
            home::add,
            e -> failures.add(e.getMessage()));

    closed.ask(stop -> "late", answers::add);

    assertThat(closed.isBusy()).isFalse();
    assertThat(failures).isEmpty();
  }
}
