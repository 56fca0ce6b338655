package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ResultBarsTest {
  private static ResultBars of(double... results) {
    List<ResearchCase> cases =
        IntStream.range(0, results.length)
            .mapToObj(i -> InventedCases.one(LocalDate.of(2031, 3, 3), i, results[i], Map.of()))
            .toList();
    return ResultBars.of(cases, Held.CLOSE);
  }

  @Test
  void eachCaseStandsInTheBarOfItsPercentagePoint() {
    ResultBars bars = of(0.025, 0.0201, -0.001, 0, Double.NaN, 3, -0.9);

    assertThat(bars.bars()).hasSize(30);
    assertThat(bars.bars().get(17)).hasSize(2);
    assertThat(bars.bars().get(14)).hasSize(1);
    assertThat(bars.bars().get(15)).as("no gain is no loss").hasSize(1);
    assertThat(bars.bars().getLast()).hasSize(1);
    assertThat(bars.bars().getFirst()).hasSize(1);
    assertThat(bars.most()).isEqualTo(2);
    assertThat(bars.known()).isEqualTo(6);
    assertThat(bars.wonPercent()).isEqualTo(50);
    assertThat(bars.won()).hasSize(3).allMatch(one -> one.result(Held.CLOSE) > 0);
    assertThat(bars.wonWords()).isEqualTo("3 by close that won");
  }

  @Test
  void barsAreSaidInWords() {
    ResultBars bars = of(0.025);

    assertThat(bars.words(17)).isEqualTo("1 by close from +2% to +3%");
    assertThat(bars.words(0)).isEqualTo("0 by close below -14%");
    assertThat(bars.words(29)).isEqualTo("0 by close +14% or more");
  }

  @Test
  void withoutCasesNothingIsKnown() {
    assertThat(of().wonPercent()).isNaN();
    assertThat(of().most()).isZero();
  }
}
