package kelvo.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.apache.commons.math3.stat.interval.IntervalUtils;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against commons-math 3.6.1, whose Wilson interval is an implementation of its own. */
class WilsonIntervalTest {
  @ParameterizedTest
  @CsvSource({"0, 10", "1, 2", "2, 2", "7, 20", "55, 100", "999, 1000"})
  void equalsTheReferenceLibrary(int successes, int cases) {
    WilsonInterval ours = WilsonInterval.of(successes, cases);
    var reference = IntervalUtils.getWilsonScoreInterval(cases, successes, 0.95);

    assertThat(ours.low()).isCloseTo(Math.max(0, reference.getLowerBound()), within(1e-9));
    assertThat(ours.high()).isCloseTo(Math.min(1, reference.getUpperBound()), within(1e-9));
  }

  @Test
  void twoOfTwoProveLittle() {
    assertThat(WilsonInterval.of(2, 2).low()).isLessThan(0.35);
  }

  @Test
  void noCasesAreUnknown() {
    assertThat(WilsonInterval.of(0, 0).low()).isNaN();
    assertThatThrownBy(() -> WilsonInterval.of(3, 2))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("3");
  }
}
