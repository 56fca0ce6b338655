package kelvo.tape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import kelvo.refusal.RefusedException;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PriceTest {
  @ParameterizedTest
  @CsvSource({
    "8.2, 82000, 8.20",
    "0.6215, 6215, 0.6215",
    "214.3, 2143000, 214.30",
    "1, 10000, 1.00"
  })
  void isExactAndShownAtTheTick(String written, long units, String shown) {
    assertThat(Price.parse(written)).isEqualTo(units);
    assertThat(Price.text(units)).isEqualTo(shown);
  }

  @Test
  void aFifthDecimalIsRefused() {
    assertThatThrownBy(() -> Price.parse("1.00001"))
        .isInstanceOf(RefusedException.class)
        .hasMessageContaining("1.00001");
  }

  @Test
  void noPriceIsUnknown() {
    assertThat(Price.dollars(Price.NONE)).isNaN();
    assertThat(Price.text(Price.NONE)).isEmpty();
  }

  @Property
  void whatFilesHoldReadsBackTheSame(
      @ForAll @LongRange(min = 1, max = 100_000_000_000L) long units) {
    assertThat(Price.parse(Price.exact(units))).isEqualTo(units);
  }

  @Property
  void inFilesItHasTwoDecimalsOrFour(
      @ForAll @LongRange(min = -(1L << 40), max = 1L << 40) long units) {
    BigDecimal exact = BigDecimal.valueOf(units, 4);

    assertThat(Price.exact(units))
        .isEqualTo((units % 100 == 0 ? exact.setScale(2) : exact).toPlainString());
    assertThat(Price.exact(100 * (units / 100)))
        .isEqualTo(BigDecimal.valueOf(units / 100, 2).toPlainString());
  }
}
