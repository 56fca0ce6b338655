package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class ResultFiguresTest {
  private static final Offset<Double> EXACT = within(1e-12);

  /** By time, two a session. */
  private static ResultFigures of(double... results) {
    List<ResearchCase> cases =
        IntStream.range(0, results.length)
            .mapToObj(
                i ->
                    InventedCases.one(
                        LocalDate.of(2031, 3, 3).plusDays(i / 2), i, results[i], Map.of()))
            .toList();
    return ResultFigures.of(cases, Held.CLOSE);
  }

  @Test
  void theyAreWhatAHandCounts() {
    ResultFigures figures = of(0.05, -0.02, 0.01, -0.04, -0.01, 0.03, 0.02, 0);

    assertThat(figures.cases()).isEqualTo(8);
    assertThat(figures.sessions()).isEqualTo(4);
    assertThat(figures.symbols()).isEqualTo(8);
    assertThat(figures.won()).isEqualTo(4);
    assertThat(figures.wonPercent()).isEqualTo(50);
    assertThat(figures.mean().mean()).isCloseTo(0.005, EXACT);
    assertThat(figures.profitFactor()).isCloseTo(0.11 / 0.07, EXACT);
    assertThat(figures.bestThree()).isCloseTo(0.10 / 0.11, EXACT);
    assertThat(figures.worst()).isEqualTo(-0.04);
    // The running sum is .05, .03, .04, .00, -.01, .02, .04, .04.
    assertThat(figures.largestFall()).isCloseTo(0.06, EXACT);
  }

  /** quantile(1:10, c(.05, .25, .5, .75)) in R gives 1.45, 3.25, 5.5 and 7.75 (from memory). */
  @Test
  void quantilesAreThoseOfR() {
    ResultFigures figures = of(IntStream.rangeClosed(1, 10).mapToDouble(i -> i).toArray());

    assertThat(figures.oneInTwenty()).isCloseTo(1.45, EXACT);
    assertThat(figures.lowerQuartile()).isCloseTo(3.25, EXACT);
    assertThat(figures.median()).isCloseTo(5.5, EXACT);
    assertThat(figures.upperQuartile()).isCloseTo(7.75, EXACT);
  }

  @Test
  void withoutCasesNothingIsKnown() {
    ResultFigures figures = of();

    assertThat(figures.median()).isNaN();
    assertThat(figures.mean().mean()).isNaN();
    assertThat(figures.profitFactor()).isNaN();
    assertThat(figures.bestThree()).isNaN();
    assertThat(figures.largestFall()).isZero();
  }
}
