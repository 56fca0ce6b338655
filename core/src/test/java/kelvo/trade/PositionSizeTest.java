package kelvo.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import kelvo.tape.Price;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class PositionSizeTest {
  /** Common practice, no source: risk of $250 over 25 cents is a thousand shares. */
  @Test
  void riskOverDistanceIsTheSize() {
    PositionSize size =
        PositionSize.of(250, Price.parse("5.75"), Price.parse("5.50"), 0, Fees.NONE);

    assertThat(size.shares()).isEqualTo(1_000);
    assertThat(size.loss()).isCloseTo(250, within(1e-9));
    assertThat(size.breakEven()).isZero();
  }

  /** The trade's worked example: 500 shares and $15 of fees need three cents. */
  @Test
  void fifteenDollarsOfFeesOnFiveHundredSharesNeedThreeCents() {
    assertThat(PositionSize.breakEven(15, 500)).isCloseTo(0.03, within(1e-12));
    Fees fees = new Fees(BigDecimal.ZERO, new BigDecimal("7.5"));
    PositionSize size = PositionSize.of(140, Price.parse("5.76"), Price.parse("5.51"), 0, fees);
    assertThat(size.shares()).isEqualTo(500);
    assertThat(size.breakEven()).isCloseTo(0.03, within(1e-12));
  }

  @Test
  void noDistanceAndNoMoneyHaveNoSize() {
    long price = Price.parse("5.76");
    assertThat(PositionSize.of(250, price, price, 0, Fees.NONE).shares()).isZero();
    Fees dear = new Fees(BigDecimal.ZERO, new BigDecimal("200"));
    assertThat(PositionSize.of(250, price, price - 100, 0, dear).shares()).isZero();
  }

  @Property(seed = "7")
  void theLossIsNeverMoreThanTheRiskAndOneMoreShareWouldBe(
      @ForAll @DoubleRange(min = 20, max = 5_000) double risk,
      @ForAll @IntRange(min = 1, max = 50_000) int distance,
      @ForAll @IntRange(min = 0, max = 500) int spread,
      @ForAll @IntRange(min = 0, max = 20) int perThousandShares) {
    Fees fees =
        new Fees(BigDecimal.valueOf(perThousandShares, 3), BigDecimal.valueOf(perThousandShares));
    PositionSize size = PositionSize.of(risk, 200_000, 200_000 - distance, spread, fees);
    double dollar = Price.DOLLAR;
    double oneMore = distance / dollar + spread / dollar + 2 * perThousandShares / 1_000.0;

    if (size.shares() > 0) {
      assertThat(size.loss()).isLessThanOrEqualTo(risk + 1e-6);
      assertThat(size.loss() + oneMore).isGreaterThan(risk - 1e-6);
    }
  }
}
