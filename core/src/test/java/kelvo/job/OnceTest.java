package kelvo.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class OnceTest {
  @Test
  void itIsWorkedOutWhenItIsFirstAskedForAndNotAgain() {
    AtomicInteger asked = new AtomicInteger();
    Once<Integer> once = new Once<>(asked::incrementAndGet);

    assertThat(asked).hasValue(0);
    assertThat(once.get()).isOne();
    assertThat(once.get()).isOne();
  }

  @Test
  void afterAFailureTheNextTriesAgain() {
    AtomicInteger asked = new AtomicInteger();
    Once<Integer> once =
        new Once<>(
            () -> {
              if (asked.incrementAndGet() == 1) {
                throw new IllegalStateException("not yet");
              }
              return asked.get();
            });

    assertThatThrownBy(once::get).hasMessage("not yet");
    assertThat(once.get()).isEqualTo(2);
  }
}
