package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kelvo.session.Security;
import kelvo.session.SecurityKind;
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
    return VolatilityBand.around(
        Price.of(reference),
        Price.of(close),
        security(SecurityKind.COMMON_STOCK, tier, ""),
        HOURS,
        at);
  }

  private static Security security(SecurityKind kind, int tier, String leverage) {
    Map<String, String> extra =
        leverage.isEmpty()
            ? Map.of("tier", Integer.toString(tier))
            : Map.of("tier", Integer.toString(tier), "leverage", leverage);
    return new Security(
        "TIDARC", "Tidal Arc", "XNAS", kind, "", "", "", 1e6, 1e6, null, null, null, false, extra);
  }

  @ParameterizedTest(name = "{0} after a close of {1}, tier {2}: {3} to {4}")
  @CsvSource({
    "100, 100, 1, 95, 105",
    "100, 100, 2, 90, 110",
    "3.50, 3.01, 1, 3.33, 3.68",
    "2.00, 3.00, 1, 1.60, 2.40",
    "2.00, 0.75, 2, 1.60, 2.40",
    "0.70, 0.70, 2, 0.55, 0.85",
    "0.10, 0.10, 1, 0.03, 0.18",
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
    Security stock = security(SecurityKind.COMMON_STOCK, 1, "");
    assertThat(VolatilityBand.around(Price.NONE, 1, stock, HOURS, MIDDAY)).isNull();
    assertThat(VolatilityBand.around(1, Price.NONE, stock, HOURS, MIDDAY)).isNull();
  }

  @Test
  void rightsAndWarrantsHaveNone() {
    for (SecurityKind kind : List.of(SecurityKind.RIGHT, SecurityKind.WARRANT)) {
      assertThat(VolatilityBand.around(100_000, 100_000, security(kind, 2, ""), HOURS, MIDDAY))
          .isNull();
    }
  }

  @ParameterizedTest
  @CsvSource({"3, 85, 115", "-2, 90, 110", "1, 95, 105", "none, 95, 105"})
  void theBandOfALeveragedFundIsItsMultiple(String leverage, double low, double high) {
    Security fund = security(SecurityKind.FUND, 1, leverage);
    VolatilityBand band = VolatilityBand.around(Price.of(100), Price.of(100), fund, HOURS, MIDDAY);

    assertThat(Price.dollars(band.low())).isCloseTo(low, within(1e-9));
    assertThat(Price.dollars(band.high())).isCloseTo(high, within(1e-9));
  }

  @Test
  void howFarAPriceIsFromTheNearerSideIsBelowZeroOutside() {
    VolatilityBand band = around(100, 100, 1, MIDDAY);

    assertThat(band.distancePercent(Price.of(100))).isCloseTo(5, within(1e-9));
    assertThat(band.distancePercent(Price.of(104))).isCloseTo(100.0 / 104, within(1e-9));
    assertThat(band.distancePercent(Price.of(106))).isNegative();
  }
}
