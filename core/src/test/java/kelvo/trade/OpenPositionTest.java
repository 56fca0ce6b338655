package kelvo.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class OpenPositionTest {
  private static Fill fill(long at, FillSide side, int shares, String price, String fee) {
    return new Fill(
        at,
        "KELPOR",
        side,
        BigDecimal.valueOf(shares),
        new BigDecimal(price),
        new BigDecimal(fee),
        "main",
        "");
  }

  @Test
  void whatIsLeftAfterAPartialSaleIsHeldWithItsRealisedPart() {
    List<OpenPosition> open =
        OpenPosition.of(
            List.of(
                fill(DayTime.of(9, 40), FillSide.BUY, 500, "5.76", "1"),
                fill(DayTime.of(9, 50), FillSide.SELL, 200, "6.00", "1")),
            CostMethod.FIRST_IN_FIRST_OUT);

    assertThat(open).hasSize(1);
    OpenPosition held = open.getFirst();
    assertThat(held.shares()).isEqualByComparingTo("300");
    assertThat(held.realised()).isCloseTo(200 * 0.24 - 2, within(1e-9));
    assertThat(held.result(Price.parse("5.86"))).isCloseTo(46 + 30, within(1e-9));
    assertThat(held.risks(Price.parse("5.96"), Price.parse("5.66"))).isCloseTo(2, within(1e-9));
  }

  @Test
  void aShortGainsAsThePriceFalls() {
    OpenPosition held =
        OpenPosition.of(
                List.of(fill(DayTime.of(9, 40), FillSide.SHORT, 100, "10", "0")),
                CostMethod.AVERAGE_COST)
            .getFirst();

    assertThat(held.result(Price.parse("9.50"))).isCloseTo(50, within(1e-9));
    assertThat(held.risks(Price.parse("10.50"), Price.parse("10.50"))).isCloseTo(-1, within(1e-9));
    assertThat(held.risks(Price.parse("9"), Price.parse("10"))).isNaN();
  }

  @Test
  void aClosedTradeIsNotHeld() {
    assertThat(
            OpenPosition.of(
                List.of(
                    fill(DayTime.of(9, 40), FillSide.BUY, 500, "5.76", "0"),
                    fill(DayTime.of(9, 50), FillSide.SELL, 500, "5.84", "0")),
                CostMethod.FIRST_IN_FIRST_OUT))
        .isEmpty();
  }
}
