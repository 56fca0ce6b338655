package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import kelvo.tape.Price;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Source: the percentage parameters in appendix A of the national market system's plan to address
 * extraordinary market volatility, as amended 2020; the numbers are from memory.
 */
class VolatilityBandTest {
  private static final SessionHours HOURS = SessionHours.full(LocalDate.of(2031, 3, 12));
  private static final long MIDDAY = DayTime.of(12, 0);
  private static final long LATE = DayTime.of(15, 35);

  private static VolatilityBand around(double reference, double close, int tier, long at) {
    return VolatilityBand.around(Price.of(reference), Price.of(close), tier, HOURS, at);
  }

  @ParameterizedTest(name = "{0} after a close of {1}, tier {2}: {3} to {4}")
  @CsvSource({
    "100, 100, 1, 95, 105",
    "100, 100, 2, 90, 110",
    "3.50, 3.01, 1, 3.325, 3.675",
    "2.00, 3.00, 1, 1.60, 2.40",
    "2.00, 0.75, 2, 1.60, 2.40",
    "0.70, 0.70, 2, 0.55, 0.85",
    "0.10, 0.10, 1, 0.025, 0.175",
  })
  void theWidthGoesByTheCloseOfTheDayBeforeAndTheTier(
      double reference, double close, int tier, double low, double high) {
    VolatilityBand band = around(reference, close, tier, MIDDAY);

    assertThat(Price.dollars(band.low())).isCloseTo(low, within(1e-9));
    assertThat(Price.dollars(band.high())).isCloseTo(high, within(1e-9));
  }

  @ParameterizedTest(name = "{0} after a close of {1}, tier {2}: {3} wide on each side")
  @CsvSource({"100, 100, 1, 10", "100, 100, 2, 10", "2.00, 2.00, 2, 0.80"})
  void theLastTwentyFiveMinutesAreDoubledButNotForTheDearOnesOfTheSecondTier(
      double reference, double close, int tier, double width) {
    assertThat(Price.dollars(around(reference, close, tier, LATE).high()) - reference)
        .isCloseTo(width, within(1e-9));
    assertThat(around(reference, close, tier, LATE - 1))
        .isEqualTo(around(reference, close, tier, MIDDAY));
  }

  @Test
  void thereIsNoBandOutsideRegularHoursOrWithoutAReference() {
    assertThat(around(100, 100, 1, SessionHours.OPEN - 1)).isNull();
    assertThat(around(100, 100, 1, HOURS.close())).isNull();
    assertThat(VolatilityBand.around(Price.NONE, 1, 1, HOURS, MIDDAY)).isNull();
    assertThat(VolatilityBand.around(1, Price.NONE, 1, HOURS, MIDDAY)).isNull();
  }

  @Test
  void howFarAPriceIsFromTheNearerSideIsBelowZeroOutside() {
    VolatilityBand band = around(100, 100, 1, MIDDAY);

    assertThat(band.distancePercent(Price.of(100))).isCloseTo(5, within(1e-9));
    assertThat(band.distancePercent(Price.of(104))).isCloseTo(100.0 / 104, within(1e-9));
    assertThat(band.distancePercent(Price.of(106))).isNegative();
  }
}
