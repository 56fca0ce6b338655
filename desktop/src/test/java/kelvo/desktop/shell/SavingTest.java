package kelvo.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.junit.jupiter.api.Test;

class SavingTest {
  private static final Duration LONG = Duration.ofMinutes(1);

  private final Saving saving = new Saving();
  private final CountDownLatch disk = new CountDownLatch(1);
  private final List<String> order = new CopyOnWriteArrayList<>();

  private void save() {
    try {
      disk.await();
      order.add("saved");
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Test
  void whoeverWaitsGoesOnWhenAllIsSaved()
      throws ExecutionException, InterruptedException, TimeoutException {
    saving.begin(this::save);
    CompletableFuture<Boolean> ended = new CompletableFuture<>();
    Thread end =
        Thread.ofPlatform()
            .start(
                () -> {
                  boolean saved = saving.await(LONG);
                  order.add("ended");
                  ended.complete(saved);
                });
    while (end.getState() != Thread.State.TIMED_WAITING) {
      Thread.onSpinWait();
    }
    disk.countDown();

    assertThat(ended.get(20, TimeUnit.SECONDS)).isTrue();
    assertThat(order).containsExactly("saved", "ended");
  }

  @Test
  void aDiskThatHangsDoesNotHoldTheEndForEver() {
    saving.begin(this::save);

    assertThat(saving.await(Duration.ofMillis(5))).isFalse();
    disk.countDown();
    assertThat(saving.await(LONG)).isTrue();
  }

  @Test
  void nothingIsAwaitedBeforeADayWasLeft() {
    assertThat(saving.await(LONG)).isTrue();
  }
}
