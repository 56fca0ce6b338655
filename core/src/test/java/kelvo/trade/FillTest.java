package kelvo.trade;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;

class FillTest {
  private static Fill fill(String price) {
    return new Fill(
        0,
        "TIDARC",
        FillSide.BUY,
        new BigDecimal("100.50"),
        new BigDecimal(price),
        BigDecimal.ZERO,
        "",
        "");
  }

  @Test
  void aPriceIsSaidWithTwoDecimalsAtLeast() {
    assertThat(fill("9.9").words()).isEqualTo("buy 100.5 at 9.90");
    assertThat(fill("10").words()).isEqualTo("buy 100.5 at 10.00");
    assertThat(fill("0.42345").words()).isEqualTo("buy 100.5 at 0.42345");
  }
}
