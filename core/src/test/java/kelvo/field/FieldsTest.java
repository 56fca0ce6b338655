package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import kelvo.history.CorporateAction;
import kelvo.history.DailyBar;
import kelvo.history.DailyBarList;
import kelvo.history.DailyHistory;
import kelvo.hit.TestSessions;
import kelvo.session.SecurityFacts;
import kelvo.session.Session;
import kelvo.state.TapedSymbol;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FieldsTest {
  /** Closes rise by a cent a day to 12.99. */
  private static Session rising() {
    List<DailyBar> bars =
        IntStream.range(0, 300)
            .mapToObj(
                i ->
                    new DailyBar(
                        TestSessions.DATE.minusDays(300 - i),
                        100_000 + i * 100,
                        100_000 + i * 100,
                        100_000 + i * 100,
                        100_000 + i * 100,
                        1_000 + i,
                        10))
            .toList();
    SecurityFacts plain =
        TestSessions.facts("AAAAAA", kelvo.session.SecurityKind.COMMON_STOCK, 2e6);
    SecurityFacts facts =
        new SecurityFacts(
            plain.security(),
            DailyHistory.before(TestSessions.DATE, DailyBarList.of(bars), List.of()),
            null,
            2e6,
            5e6);
    return new Session(
        SessionHours.full(TestSessions.DATE),
        Phases.DEFAULT,
        List.of(facts),
        List.of(),
        List.of(),
        new EventTape(1));
  }

  private final Session session = rising();
  private final TapedSymbol taped = new TapedSymbol(session);

  private double value(String words, long now) {
    return FieldCatalogue.number(words).bind(session).at(taped.state(), now);
  }

  @Test
  void theGapIsOfThePriceUntilThereIsAnOpen() {
    taped.trade(DayTime.of(8, 0), 142_890, 500, SaleCondition.EXTENDED.bit());
    assertThat(value("gap", DayTime.of(8, 0))).isEqualTo(10);

    taped.trade(DayTime.of(9, 30), 136_395, 500, SaleCondition.OFFICIAL_OPEN.bit());
    assertThat(value("gap", DayTime.of(9, 30))).isEqualTo(5);
    assertThat(value("change %", DayTime.of(9, 30))).isEqualTo(10);
  }

  @Test
  void dailyAveragesIncludeTodaysProvisionalClose() {
    taped.trade(DayTime.of(10, 0), 200_000, 100, SaleCondition.REGULAR.bit());
    double[] closes = java.util.Arrays.copyOf(session.security(0).history().closes(), 301);
    closes[300] = 20;

    assertThat(value("ema 50d", DayTime.of(10, 0)))
        .isCloseTo(kelvo.history.Averages.ema(closes, 50)[300], within(1e-9));
    assertThat(value("sma 20d", DayTime.of(10, 0)))
        .isCloseTo(kelvo.history.Averages.sma(closes, 20)[300], within(1e-9));
    assertThat(value("stack", DayTime.of(10, 0))).isEqualTo(3);
    assertThat(value("avg volume 20d", DayTime.of(10, 0))).isEqualTo(1_289.5);
    assertThat(value("ema 301d", DayTime.of(10, 0))).isNaN();
  }

  /** Common practice, no source: 1,000,000 shares at an average $7 is $7M dollar volume. */
  @Test
  void dollarVolumeIsPriceTimesShares() {
    taped.trade(DayTime.of(10, 0), 60_000, 500_000, SaleCondition.REGULAR.bit());
    taped.trade(DayTime.of(10, 1), 80_000, 500_000, SaleCondition.REGULAR.bit());

    assertThat(value("dollar volume", DayTime.of(10, 1))).isEqualTo(7e6);
    assertThat(value("float turnover", DayTime.of(10, 1))).isEqualTo(0.5);
  }

  @Test
  void aCrossedOrOneSidedQuoteHasNoSpread() {
    taped.quote(1, 100_000, 100, 101_000, 100);
    assertThat(value("spread %", 1)).isCloseTo(100 * 0.1 / 10.05, within(1e-9));
    taped.quote(2, 101_000, 100, 101_000, 100);
    assertThat(value("spread", 2)).isNaN();
    taped.quote(3, 0, 0, 101_000, 100);
    assertThat(value("spread %", 3)).isNaN();
  }

  @Test
  void aReverseSplitMultipliesEarlierPricesAndDividesVolumes() {
    LocalDate today = TestSessions.DATE;
    DailyBar before = new DailyBar(today.minusDays(1), 6_200, 6_400, 6_000, 6_200, 1_000_000, 10);
    DailyHistory history =
        DailyHistory.before(
            today,
            DailyBarList.of(List.of(before)),
            List.of(new CorporateAction("SONWEL", today, 0.1)));

    assertThat(history.last().close()).isEqualTo(62_000);
    assertThat(history.last().volume()).isEqualTo(100_000);
  }

  @ParameterizedTest
  @CsvSource({"2400000, 2.4M", "688000, 688K", "999960, 1.0M", "950, 950", "18300000000, 18.3B"})
  void sharesAreWrittenAsTradersDo(double shares, String text) {
    assertThat(Unit.SHARES.text(shares)).isEqualTo(text);
  }

  @Test
  void everyFieldSaysWhatItMeansAndWhenItIsUnknown() {
    assertThat(FieldCatalogue.usual())
        .allSatisfy(
            field -> {
              assertThat(field.meaning()).endsWith(".");
              assertThat(field.unknownWhen()).isNotBlank();
            });
  }
}
