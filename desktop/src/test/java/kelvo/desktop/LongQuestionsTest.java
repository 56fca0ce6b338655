package kelvo.desktop;

import static kelvo.desktop.OpenedWindow.until;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import javafx.stage.Stage;
import kelvo.time.DayTime;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** Questions that take long, such as those of research. */
@ExtendWith(RealWindow.class)
class LongQuestionsTest {
  private final CountDownLatch begun = new CountDownLatch(1);
  private final CountDownLatch never = new CountDownLatch(1);
  private final AtomicBoolean interrupted = new AtomicBoolean();
  private final AtomicReference<String> answered = new AtomicReference<>("");
  private OpenedWindow opened;

  @Start
  void start(Stage stage) {
    opened = OpenedWindow.open(stage, DayTime.of(9, 45));
  }

  @BeforeEach
  void askOneThatNeverEnds(FxRobot robot) throws InterruptedException {
    until(() -> opened.shown().isThere());
    robot.interact(
        () ->
            opened
                .workspace
                .answers()
                .slow("asking for ever", () -> {})
                .ask(progress -> waiting(), answered::set));
    begun.await();
  }

  private String waiting() {
    begun.countDown();
    try {
      never.await();
      return "";
    } catch (InterruptedException e) {
      interrupted.set(true);
      throw new CancellationException();
    }
  }

  @AfterEach
  void close() {
    opened.close();
    assertThat(interrupted).isTrue();
    assertThat(opened.workspace.troubles().newest().get()).isEmpty();
  }

  @Test
  void whatIsAskedMeanwhileWaitsForNone(FxRobot robot) {
    robot.interact(
        () -> opened.workspace.answers().latest("asking").ask(progress -> "short", answered::set));
    until(() -> answered.get().equals("short"));
    robot.interact(
        () ->
            opened
                .workspace
                .answers()
                .slow("asking too", () -> {})
                .ask(progress -> "long too", answered::set));
    until(() -> answered.get().equals("long too"));
  }

  @Tag("proof")
  @Test
  void oneThatThrowsIsTold(FxRobot robot) {
    robot.interact(
        () ->
            opened
                .workspace
                .answers()
                .slow("asking in vain", () -> answered.set("failed"))
                .ask(
                    progress -> {
                      throw new IllegalStateException("no such reef");
                    },
                    found -> {}));
    until(() -> answered.get().equals("failed"));
    until(
        () ->
            opened.workspace.troubles().newest().get().stream()
                .anyMatch(told -> told.startsWith("Asking in vain went wrong")));
    robot.interact(() -> opened.workspace.troubles().seen());
  }
}
