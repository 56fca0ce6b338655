package kelvo.desktop.workspace;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.IntStream;
import kelvo.refusal.RefusedException;
import org.junit.jupiter.api.Test;

class TroublesTest {
  private final Troubles troubles = new Troubles(Runnable::run);

  @Test
  void whatWentWrongIsOneSentenceWithTheNewestFirst() {
    troubles.tell("making the review", new RefusedException("no fills"));
    troubles.tell("The last change may be lost.");

    assertThat(troubles.newest().get())
        .containsExactly(
            "The last change may be lost.",
            "Making the review went wrong: no fills; the rest goes on.");
    troubles.seen();
    assertThat(troubles.newest().get()).isEmpty();
    assertThat(troubles.count()).isEqualTo(2);
  }

  @Test
  void aThousandTroublesCostNoMoreThanFifty() {
    IntStream.range(0, 1_000).forEach(i -> troubles.tell("Number " + i));

    assertThat(troubles.newest().get()).hasSize(50).startsWith("Number 999");
    assertThat(troubles.count()).isEqualTo(1_000);
  }

  @Test
  void whatThrowsBehindTheWindowIsToldAndTheNextTaskRuns() {
    AtomicBoolean ran = new AtomicBoolean();
    try (Background background = new Background(troubles)) {
      background.execute(
          "saving a scan",
          () -> {
            throw new StackOverflowError("too deep");
          });
      background.execute("saving another", () -> ran.set(true));
    }

    assertThat(ran).isTrue();
    assertThat(troubles.newest().get())
        .containsExactly("Saving a scan went wrong: too deep; the rest goes on.");
  }
}
