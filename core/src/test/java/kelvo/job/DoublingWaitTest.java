package kelvo.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class DoublingWaitTest {
  private final DoublingWait wait =
      new DoublingWait(Duration.ofMillis(500), Duration.ofSeconds(30));

  @Test
  void eachIsTwiceTheOneBeforeUpToTheBound() {
    assertThat(IntStream.range(0, 8).mapToObj(wait::after).map(Duration::toMillis))
        .containsExactly(500L, 1_000L, 2_000L, 4_000L, 8_000L, 16_000L, 30_000L, 30_000L);
  }

  @Test
  void afterADayOfTriesItIsStillTheBound() {
    assertThat(wait.after(Integer.MAX_VALUE)).isEqualTo(wait.longest());
  }
}
