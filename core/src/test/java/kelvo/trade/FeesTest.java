package kelvo.trade;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class FeesTest {
  private static Fill fill(FillSide side, int shares, String price, String fee, String order) {
    return new Fill(
        DayTime.of(9, 41),
        "KELPOR",
        side,
        BigDecimal.valueOf(shares),
        new BigDecimal(price),
        new BigDecimal(fee),
        "main",
        order);
  }

  private static List<String> feesOf(List<Fill> fills) {
    return fills.stream().map(f -> f.fee().toPlainString()).toList();
  }

  @Test
  void anOrderCostsOnceAndEachShareOfIt() {
    Fees fees = new Fees(new BigDecimal("0.005"), BigDecimal.ONE);

    assertThat(
            feesOf(
                fees.on(
                    List.of(
                        fill(FillSide.BUY, 300, "5.76", "0", "a1"),
                        fill(FillSide.BUY, 200, "5.76", "0", "a1"),
                        fill(FillSide.SELL, 500, "5.84", "0", "a2"),
                        fill(FillSide.SELL, 100, "5.84", "0", "")))))
        .containsExactly("2.5", "1", "3.5", "1.5");
  }

  @Test
  void aFillWithAFeeOfItsOwnKeepsIt() {
    Fees fees = new Fees(new BigDecimal("0.005"), BigDecimal.ONE);

    assertThat(feesOf(fees.on(List.of(fill(FillSide.BUY, 100, "5.76", "-0.2", "a1")))))
        .containsExactly("-0.2");
    assertThat(feesOf(Fees.NONE.on(List.of(fill(FillSide.BUY, 100, "5.76", "0", "a1")))))
        .containsExactly("0");
  }
}
