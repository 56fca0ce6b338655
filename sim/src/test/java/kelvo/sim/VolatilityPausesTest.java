package kelvo.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import kelvo.session.Security;
import kelvo.session.SecurityKind;
import kelvo.state.VolatilityBand;
import kelvo.tape.Price;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against the national plan on extraordinary volatility, from memory. */
class VolatilityPausesTest {
  private static final long TEN = 100_000;

  private final List<String> told = new ArrayList<>();
  private final VolatilityPauses pauses =
      new VolatilityPauses(
          SessionHours.full(LocalDate.of(2031, 3, 12)),
          TEN,
          (at, state) -> told.add(DayTime.seconds(at) + " " + state.word()));

  /** Trades calmly for two minutes, so that a few prints do not move the reference. */
  private void calmUntil(String time) {
    long until = DayTime.parse(time);
    for (int i = 120; i > 0; i--) {
      assertThat(pauses.allowed(until - i * DayTime.SECOND, TEN)).isEqualTo(TEN);
    }
  }

  private long allowed(String time, long price) {
    return pauses.allowed(DayTime.parse(time), price);
  }

  /** Two derivations of the same rule, both from memory, agree to the cent. */
  @ParameterizedTest
  @CsvSource({
    "0.40, 10:00:00",
    "0.70, 12:00:00",
    "0.75, 12:00:00",
    "1.99, 10:00:00",
    "3.00, 15:40:00",
    "3.01, 15:40:00",
    "2.50, 15:34:59",
    "17.33, 10:00:00",
    "250.07, 15:50:00"
  })
  void theMarketsBandIsThatOfTheProduct(double close, String time) {
    SessionHours hours = SessionHours.full(LocalDate.of(2031, 3, 12));
    Security stock =
        new Security(
            "TIDARC", "", "XNAS", SecurityKind.COMMON_STOCK, "", "", "", 1, 1, null, true, false);
    long previous = Price.of(close);
    long at = DayTime.parse(time);
    for (long reference : new long[] {previous, previous * 11 / 10, previous * 9 / 10}) {
      VolatilityPauses up = new VolatilityPauses(hours, previous, (when, state) -> {});
      VolatilityPauses down = new VolatilityPauses(hours, previous, (when, state) -> {});
      up.allowed(at, reference);
      down.allowed(at, reference);
      VolatilityBand band =
          Objects.requireNonNull(
              VolatilityBand.around(reference, previous, stock, hours, at + DayTime.SECOND));

      assertThat(up.allowed(at + DayTime.SECOND, reference * 9)).isEqualTo(band.high());
      assertThat(down.allowed(at + DayTime.SECOND, 1)).isEqualTo(band.low());
    }
  }

  @Test
  void aPauseOfTheLastTenMinutesLastsUntilTheClose() {
    calmUntil("15:51:00");
    allowed("15:51:10", 112_000);
    allowed("15:51:30", 112_000);
    assertThat(allowed("15:57:00", TEN)).isEqualTo(Price.NONE);
    pauses.finish();
    assertThat(told).last().isEqualTo("16:00:00 " + TradingState.TRADING.word());
  }

  @Test
  void aPriceBeyondTheBandTradesAtTheBand() {
    calmUntil("10:00:00");
    assertThat(allowed("10:00:01", 111_000)).isEqualTo(110_000);
    assertThat(allowed("10:00:02", 89_000)).isEqualTo(90_000);
    assertThat(told).isEmpty();
  }

  @Test
  void fifteenSecondsAtTheBandPauseForFiveMinutes() {
    calmUntil("10:00:00");
    allowed("10:00:10", 112_000);
    assertThat(allowed("10:00:24", 112_000)).isEqualTo(110_000);
    assertThat(allowed("10:00:26", 112_000)).isEqualTo(Price.NONE);
    assertThat(allowed("10:05:24", 112_000)).isEqualTo(Price.NONE);
    assertThat(allowed("10:05:25", 112_000)).isEqualTo(112_000);
    assertThat(told).containsExactly("10:00:25 halted", "10:04:25 quoting", "10:05:25 trading");
  }

  @Test
  void aPauseIsExtendedOnceWhenThePriceWantsToGoOnAsFarAgain() {
    calmUntil("10:00:00");
    allowed("10:00:10", 112_000);
    allowed("10:00:30", 115_000);
    assertThat(allowed("10:05:30", 125_000)).isEqualTo(Price.NONE);
    assertThat(allowed("10:10:30", 125_000)).isEqualTo(125_000);
    assertThat(told).containsExactly("10:00:25 halted", "10:09:25 quoting", "10:10:25 trading");
  }

  @Test
  void comingBackInTimePausesNothing() {
    calmUntil("10:00:00");
    allowed("10:00:10", 112_000);
    allowed("10:00:20", 105_000);
    assertThat(allowed("10:00:40", 112_000)).isEqualTo(110_000);
    assertThat(told).isEmpty();
  }

  @Test
  void outsideRegularHoursThereIsNoBand() {
    assertThat(allowed("08:00:00", TEN)).isEqualTo(TEN);
    assertThat(allowed("08:00:20", 150_000)).isEqualTo(150_000);
  }

  @Test
  void aPauseThatNobodyTradesAfterEndsAllTheSame() {
    calmUntil("15:00:00");
    allowed("15:00:10", 112_000);
    allowed("15:00:30", 112_000);
    pauses.finish();
    assertThat(told).last().isEqualTo("15:05:25 " + TradingState.TRADING.word());
  }
}
