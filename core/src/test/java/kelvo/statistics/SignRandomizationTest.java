package kelvo.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SignRandomizationTest {
  /** With five parts of one size all 32 signs can be counted by hand: two are as far from 0. */
  @Test
  void fewSessionsCanBeCountedByHand() {
    assertThat(SignRandomization.p(new double[] {1, 1, 1, 1, 1})).isCloseTo(2 / 32.0, within(0.01));
  }

  /**
   * Fisher's exact test of Darwin's plants, 15 pairs with these differences, gives 0.05267 (R. A.
   * Fisher, The Design of Experiments, 1935, section 21; from memory).
   */
  @Test
  void darwinsPairsOfPlants() {
    double[] differences = {49, -67, 8, 16, 6, 23, 28, 41, 14, 29, 56, 24, 75, 60, -48};

    assertThat(SignRandomization.p(differences)).isCloseTo(0.05267, within(0.007));
  }

  @Test
  void chanceIsCalledLittleAsOftenAsItIs() {
    SplittableRandom random = new SplittableRandom(1);
    long small =
        IntStream.range(0, 400)
            .mapToDouble(
                i -> {
                  double[] parts = new double[30];
                  Arrays.setAll(parts, j -> random.nextDouble() - 0.5);
                  return SignRandomization.p(parts);
                })
            .filter(p -> p < 0.05)
            .count();

    assertThat(small).isBetween(8L, 34L);
  }

  @Test
  void withoutSessionsNothingCanBeSaid() {
    assertThat(SignRandomization.p(new double[0])).isEqualTo(1);
    assertThat(SignRandomization.p(new double[] {0, 0})).isEqualTo(1);
  }
}
