package kelvo.desktop.theme;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class NumbersTest {
  @Test
  void aChangeCarriesItsSignButZeroHasNone() {
    assertThat(Numbers.percent(12.34)).isEqualTo("+12.3%");
    assertThat(Numbers.percent(-0.06)).isEqualTo("-0.1%");
    assertThat(Numbers.percent(-0.04)).isEqualTo("0.0%");
    assertThat(Numbers.percent(0.0)).isEqualTo("0.0%");
    assertThat(Numbers.percent(Double.NaN)).isEmpty();
  }

  @Test
  void moneyAndWholeNumbersAreGrouped() {
    assertThat(Numbers.money(-1234.5)).isEqualTo("-$1,234.50");
    assertThat(Numbers.money(2040)).isEqualTo("+$2,040.00");
    assertThat(Numbers.whole(1_809_922)).isEqualTo("1,809,922");
  }
}
