package kelvo.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.news.Catalyst;
import kelvo.state.TapedSymbol;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** Fields of history, ranges, halts and news by hand-worked bars and prints. */
class HistoryFieldsTest {
  private static final int REGULAR = SaleCondition.REGULAR.bit();
  private static final int EXTENDED = SaleCondition.EXTENDED.bit();
  private static final long NOW = DayTime.of(10, 0);

  private static TapedSymbol after(List<String> bars) {
    return new TapedSymbol(TestSessions.after(bars));
  }

  private static List<String> flat(int bars) {
    return new ArrayList<>(java.util.Collections.nCopies(bars, "10 10.2 9.8 10 1000"));
  }

  private static double value(TapedSymbol taped, String words) {
    return value(taped, words, NOW);
  }

  private static double value(TapedSymbol taped, String words, long now) {
    return FieldCatalogue.number(words)
        .bind(taped.state().market().session())
        .at(taped.state(), now);
  }

  @Test
  void extremesOfDaysNeedThatManyDays() {
    List<String> bars = flat(30);
    bars.set(15, "10 12 9 10 1000");
    TapedSymbol taped = after(bars);
    taped.trade(NOW, 110_000, 100, REGULAR);

    assertThat(value(taped, "20d high")).isEqualTo(12);
    assertThat(value(taped, "10d high")).isEqualTo(10.2);
    assertThat(value(taped, "20d low")).isEqualTo(9);
    assertThat(value(taped, "distance to 20d high")).isCloseTo(-100.0 / 12, within(1e-9));
    assertThat(value(taped, "20d range position")).isCloseTo(2.0 / 3, within(1e-9));
    assertThat(value(taped, "31d high")).isNaN();
    assertThat(value(taped, "52w high")).as("since it was listed").isEqualTo(12);
    assertThat(value(after(flat(19)), "52w high")).isNaN();
  }

  @Test
  void overheadIsTheNearestSwingHighAboveAndClearWithoutOne() {
    List<String> bars = flat(20);
    bars.set(5, "10 12 9.8 10 1000");
    bars.set(10, "10 11 9.8 10 1000");
    bars.set(14, "10 10.2 8 10 1000");
    TapedSymbol taped = after(bars);
    taped.trade(NOW, 105_000, 100, REGULAR);

    assertThat(value(taped, "overhead %")).isCloseTo(100 * 0.5 / 10.5, within(1e-9));
    assertThat(value(taped, "room below %")).isCloseTo(100 * 2.5 / 10.5, within(1e-9));

    taped.trade(NOW + 1, 125_000, 100, REGULAR);
    assertThat(value(taped, "overhead %")).isInfinite();
    assertThat(Unit.PERCENT.text(value(taped, "overhead %"))).isEqualTo("clear");
  }

  @Test
  void giveBackIsTheMedianPartOfRunsThatWasReturned() {
    List<String> bars = flat(10);
    bars.set(3, "10 12 10 11 1000");
    bars.set(4, "10 10.2 9.8 10 1000");
    bars.set(6, "10 12 10 10.5 1000");
    TapedSymbol taped = after(bars);

    assertThat(value(taped, "give-back sessions")).isEqualTo(2);
    assertThat(value(taped, "give-back")).isEqualTo((50.0 + 75) / 2);
    assertThat(value(taped, "give-back over half")).isEqualTo(2);
    assertThat(value(after(flat(5)), "give-back")).isNaN();
  }

  @Test
  void theDayTwoRecordLooksAtTheSessionAfterARise() {
    List<String> bars = flat(6);
    bars.set(2, "10 14 10 14 1000");
    bars.set(3, "14 14 12 12 1000");
    TapedSymbol taped = after(bars);

    assertThat(value(taped, "day-two record")).isEqualTo(100);
    assertThat(value(taped, "day-two sessions")).isEqualTo(1);
    assertThat(value(taped, "day-two sessions 50")).isZero();
    assertThat(value(taped, "day-two record 50")).isNaN();
  }

  @Test
  void flatDaysAreNarrowAndQuiet() {
    List<String> bars = flat(24);
    for (int i = 21; i < 24; i++) {
      bars.set(i, "10 10.05 9.95 10 400");
    }

    assertThat(value(after(bars), "flat days")).isEqualTo(3);
    bars.set(23, "10 10.05 9.95 10 900");
    assertThat(value(after(bars), "flat days")).isZero();
  }

  @Test
  void aQuietStockCoilsAndALargePriceOpensIt() {
    List<String> bars = flat(40);
    for (int i = 0; i < 40; i++) {
      bars.set(i, i % 2 == 0 ? "10 10.5 9.5 10.01 1000" : "10 10.5 9.5 9.99 1000");
    }
    TapedSymbol taped = after(bars);
    taped.trade(NOW, 100_000, 100, REGULAR);

    assertThat(value(taped, "coil")).isEqualTo(1);
    assertThat(value(taped, "coil days")).isGreaterThan(10);
    taped.trade(NOW + 1, 150_000, 100, REGULAR);
    assertThat(value(taped, "coil")).isZero();
    assertThat(value(taped, "coil days")).isZero();
    assertThat(value(after(flat(20)), "coil")).isNaN();
  }

  @Test
  void theGapIsFilledAsDeepAsPriceWentBack() {
    TapedSymbol taped = after(flat(20));
    taped.trade(DayTime.of(9, 30), 110_000, 100, REGULAR);
    assertThat(value(taped, "gap filled %")).isZero();
    taped.trade(DayTime.of(9, 31), 104_000, 100, REGULAR);
    taped.trade(DayTime.of(9, 32), 108_000, 100, REGULAR);

    assertThat(value(taped, "gap filled %")).isEqualTo(60);
    taped.trade(DayTime.of(9, 33), 90_000, 100, REGULAR);
    assertThat(value(taped, "gap filled %")).isEqualTo(100);
  }

  @Test
  void theOpeningRangeEndsWithItsMinutes() {
    TapedSymbol taped = after(flat(20));
    taped.trade(DayTime.of(9, 29), 130_000, 100, EXTENDED);
    taped.trade(DayTime.of(9, 30), 101_000, 100, REGULAR);
    taped.trade(DayTime.of(9, 34), 103_000, 100, REGULAR);
    taped.trade(DayTime.of(9, 35), 109_000, 100, REGULAR);

    assertThat(value(taped, "opening range high 5m")).isEqualTo(10.3);
    assertThat(value(taped, "opening range low 5m")).isEqualTo(10.1);
    assertThat(value(taped, "opening range high 15m")).isEqualTo(10.9);
  }

  @Test
  void rangesAreMeasuredAgainstWhatIsUsual() {
    TapedSymbol taped = after(flat(20));
    taped.trade(NOW, 100_000, 100, REGULAR);
    taped.trade(NOW + 1, 108_000, 100, REGULAR);

    assertThat(value(taped, "day range")).isCloseTo(0.8, within(1e-9));
    assertThat(value(taped, "range ratio")).isCloseTo(2, within(1e-9));
    assertThat(value(taped, "range in atrs")).isCloseTo(2, within(1e-9));
    assertThat(value(taped, "extension from vwap")).isCloseTo(1, within(1e-9));
    assertThat(value(taped, "prior-day range")).isCloseTo(0.4, within(1e-9));
    assertThat(value(taped, "avg dollar volume 20d")).isEqualTo(10_000);
  }

  @Test
  void afterTheCloseTheOfficialCloseCounts() {
    TapedSymbol taped = after(flat(20));
    taped.trade(DayTime.of(15, 59), 100_000, 100, REGULAR);
    taped.trade(DayTime.of(16, 0), 102_000, 0, SaleCondition.OFFICIAL_CLOSE.bit());
    taped.trade(DayTime.of(16, 30), 107_100, 700, EXTENDED);

    assertThat(value(taped, "after-hours change %", DayTime.of(16, 30))).isCloseTo(5, within(1e-9));
    assertThat(value(taped, "after-hours volume", DayTime.of(16, 30))).isEqualTo(700);
  }

  @Test
  void idleMinutesCountSilence() {
    TapedSymbol taped = after(flat(20));
    for (int minute = 0; minute < 30; minute += 3) {
      taped.trade(DayTime.of(9, 31) + minute * DayTime.MINUTE, 100_000, 100, REGULAR);
    }

    assertThat(value(taped, "idle minutes 30", NOW)).isEqualTo(20);
    assertThat(value(taped, "idle minutes 30", DayTime.of(10, 20))).isEqualTo(27);
    assertThat(value(taped, "idle minutes 30", DayTime.of(11, 0))).isEqualTo(30);
    assertThat(value(taped, "idle minutes 30", DayTime.of(4, 10))).isNaN();
  }

  @Test
  void buyersAreThoseAtTheAsk() {
    TapedSymbol taped = after(flat(20));
    assertThat(value(taped, "buying share 1m")).isNaN();
    taped.quote(NOW, 99_000, 1, 101_000, 1);
    taped.trade(NOW + 1, 101_000, 300, REGULAR);
    taped.trade(NOW + 2, 99_000, 100, REGULAR);
    taped.trade(NOW + 3, 100_000, 100, REGULAR);

    assertThat(value(taped, "buying share 1m", NOW + 3)).isEqualTo(70);
    assertThat(value(taped, "largest print", NOW + 3)).isEqualTo(300);
    assertThat(value(taped, "largest print $", NOW + 3)).isEqualTo(3_030);
    assertThat(value(taped, "volume 1m", NOW + 3)).isEqualTo(500);
    assertThat(value(taped, "volume 1m", NOW + 2 * DayTime.MINUTE)).isZero();
  }

  @Test
  void aVolatilityPauseLastsFiveMinutes() {
    TapedSymbol taped = after(flat(20));
    taped.status(NOW, TradingState.HALTED, "LUDP");

    assertThat(value(taped, "halted")).isEqualTo(1);
    assertThat(value(taped, "halts today")).isEqualTo(1);
    assertThat(value(taped, "minutes to resume", NOW + DayTime.MINUTE)).isEqualTo(4);
    assertThat(value(taped, "minutes to resume", NOW + 9 * DayTime.MINUTE)).isZero();
    taped.status(NOW + DayTime.MINUTE, TradingState.TRADING, "");
    assertThat(value(taped, "minutes to resume")).isNaN();
    taped.status(NOW + 2 * DayTime.MINUTE, TradingState.HALTED, "T1");
    assertThat(value(taped, "minutes to resume")).isNaN();
    assertThat(value(taped, "halts today")).isEqualTo(2);
  }

  @Test
  void aPauseInTheLastTenMinutesLastsUntilTheClosingAuction() {
    TapedSymbol taped = after(flat(20));
    long late = DayTime.of(15, 50);
    taped.status(late, TradingState.HALTED, "LUDP");

    assertThat(value(taped, "minutes to resume", late + DayTime.MINUTE)).isNaN();
    assertThat(value(taped, "halted", late + DayTime.MINUTE)).isEqualTo(1);
    assertThat(value(taped, "minutes since resume", late + DayTime.MINUTE)).isNaN();
    taped.status(late + 10 * DayTime.MINUTE, TradingState.TRADING, "");
    assertThat(value(taped, "minutes since resume", late + 13 * DayTime.MINUTE - 1)).isEqualTo(2);
  }

  @Test
  void anImbalanceIsOfAnAuctionThatHasNotHappened() {
    TapedSymbol taped = after(flat(20));
    assertThat(value(taped, "imbalance", NOW)).isZero();
    taped.imbalance(DayTime.of(9, 28), true, 5_000);
    taped.imbalance(DayTime.of(9, 29), false, 3_000);
    assertThat(value(taped, "imbalance", DayTime.of(9, 29))).isEqualTo(-3_000);
    taped.trade(DayTime.of(9, 30), 100_000, 100, REGULAR);
    assertThat(value(taped, "imbalance", DayTime.of(9, 31))).isZero();

    taped.imbalance(DayTime.of(15, 50), true, 7_000);
    assertThat(value(taped, "imbalance", DayTime.of(15, 51))).isEqualTo(7_000);
    taped.trade(DayTime.of(16, 0), 101_000, 100, SaleCondition.OFFICIAL_CLOSE.bit());
    assertThat(value(taped, "imbalance", DayTime.of(16, 1))).isZero();
  }

  @Test
  void theEveningIsHeldAgainstTheLastRegularPrintUntilTheOfficialCloseIsTold() {
    TapedSymbol taped = after(flat(20));
    taped.trade(DayTime.of(15, 59), 100_000, 100, REGULAR);
    assertThat(value(taped, "after-hours change %", DayTime.of(16, 0))).isNaN();
    taped.trade(DayTime.of(16, 1), 110_000, 100, SaleCondition.EXTENDED.bit());
    assertThat(value(taped, "after-hours change %", DayTime.of(16, 1))).isEqualTo(10);
    taped.trade(DayTime.of(16, 2), 120_000, 100, SaleCondition.EXTENDED.bit());
    assertThat(value(taped, "after-hours change %", DayTime.of(16, 2))).isEqualTo(20);
    taped.trade(DayTime.of(16, 3), 125_000, 100, SaleCondition.OFFICIAL_CLOSE.bit());
    assertThat(value(taped, "after-hours change %", DayTime.of(16, 3))).isEqualTo(-4);
  }

  @Test
  void mentionsCountFromTheirOwnMomentWhateverTheNewsSays() {
    TapedSymbol taped = after(flat(20));
    Catalyst old = new Catalyst(NOW - DayTime.HOUR * 5, "Harbour Wire", "Old", "", List.of());
    taped.state().market().session().arrived(old);
    taped.tape().mention(NOW, 0, 12);
    taped.state().apply(taped.tape().size() - 1);

    assertThat(value(taped, "mentions 1h", NOW + DayTime.MINUTE)).isEqualTo(12);
    assertThat(value(taped, "mentions 1h", NOW + 2 * DayTime.HOUR)).isZero();
  }

  @Test
  void newsIsMeasuredFromItsMoment() {
    TapedSymbol taped = after(flat(20));
    taped.trade(NOW, 100_000, 100, REGULAR);
    Catalyst item = new Catalyst(NOW + 1, "Harbour Wire", "A contract", "", List.of());
    taped.tape().news(NOW + 1, 0, taped.state().market().session().arrived(item));
    taped.state().apply(taped.tape().size() - 1);
    taped.trade(NOW + 2, 104_000, 100, REGULAR);

    assertThat(value(taped, "change since news")).isCloseTo(4, within(1e-9));
    assertThat(value(taped, "items 24h", NOW + 2)).isEqualTo(1);
    assertThat(value(taped, "minutes since news", NOW + 5 * DayTime.MINUTE)).isEqualTo(4);
  }
}
