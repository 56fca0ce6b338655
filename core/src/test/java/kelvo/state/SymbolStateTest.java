package kelvo.state;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class SymbolStateTest {
  private static final int EXTENDED = SaleCondition.EXTENDED.bit();
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  private final TapedSymbol taped = new TapedSymbol(100_000);
  private final SymbolState state = taped.state();

  private static long at(String time) {
    return DayTime.parse(time);
  }

  @Test
  void priceIsThePreviousCloseThenTheQuotesMiddleThenTheLastEligiblePrint() {
    assertThat(state.price()).isEqualTo(100_000);
    assertThat(state.priceSource()).isEqualTo(PriceSource.PREVIOUS_CLOSE);

    taped.quote(at("07:00:00"), 104_000, 100, 106_000, 100);
    assertThat(state.price()).isEqualTo(105_000);
    assertThat(state.priceSource()).isEqualTo(PriceSource.QUOTE);

    taped.trade(at("07:00:01"), 107_000, 100, EXTENDED);
    assertThat(state.price()).isEqualTo(107_000);
    assertThat(state.priceSource()).isEqualTo(PriceSource.PRINT);
  }

  @Test
  void aQuoteWiderThanFivePercentGivesNoPrice() {
    taped.quote(at("07:00:00"), 100_000, 100, 105_200, 100);

    assertThat(state.priceSource()).isEqualTo(PriceSource.PREVIOUS_CLOSE);
  }

  @Test
  void anOddLotAddsVolumeButMovesNoPrice() {
    taped.trade(at("10:00:00"), 100_500, 200, REGULAR);
    taped.trade(at("10:00:01"), 130_000, 7, SaleCondition.ODD_LOT.bit());

    assertThat(state.price()).isEqualTo(100_500);
    assertThat(state.dayHigh()).isEqualTo(100_500);
    assertThat(state.volume()).isEqualTo(207);
    assertThat(state.trades()).isEqualTo(2);
  }

  @Test
  void theFirstOfficialOpenFromTheBellOnCounts() {
    int official = SaleCondition.OFFICIAL_OPEN.bit();
    taped.trade(at("09:29:59"), 99_000, 100, official);
    assertThat(state.open()).isZero();
    taped.trade(at("09:30:00"), 100_000, 100, REGULAR);
    assertThat(state.open()).isEqualTo(100_000);

    assertThat(taped.trade(at("09:30:02"), 100_400, 100, official) & Effect.OPENED).isNotZero();
    assertThat(taped.trade(at("09:30:09"), 101_000, 100, official) & Effect.OPENED).isZero();
    assertThat(state.open()).isEqualTo(100_400);
  }

  @Test
  void theOfficialCloseNearestToTheBellCounts() {
    int official = SaleCondition.OFFICIAL_CLOSE.bit();
    taped.trade(at("15:59:58"), 100_000, 100, official);
    taped.trade(at("16:00:01"), 100_100, 100, official);
    taped.trade(at("16:05:00"), 99_000, 100, official);

    assertThat(state.officialClose()).isEqualTo(100_100);
  }

  @Test
  void theFirstPrintOfASpanIsNoNewExtreme() {
    assertThat(
            taped.trade(at("08:00:00"), 100_000, 100, EXTENDED)
                & (Effect.PREMARKET_HIGH | Effect.SESSION_HIGH))
        .isZero();
    assertThat(
            taped.trade(at("08:00:01"), 100_100, 100, EXTENDED)
                & (Effect.PREMARKET_HIGH | Effect.SESSION_HIGH))
        .isEqualTo(Effect.PREMARKET_HIGH | Effect.SESSION_HIGH);
    assertThat(taped.trade(at("09:30:00"), 100_200, 100, REGULAR) & Effect.DAY_HIGH).isZero();
  }

  @Test
  void theOpenIsTheFirstRegularPrintUntilTheOfficialOneComes() {
    taped.trade(at("09:29:59"), 99_000, 100, EXTENDED);
    assertThat(state.open()).isEqualTo(Price.NONE);

    taped.trade(at("09:30:00"), 101_000, 100, REGULAR);
    assertThat(state.open()).isEqualTo(101_000);

    taped.trade(at("09:30:01"), 101_500, 100, SaleCondition.OFFICIAL_OPEN.bit());
    assertThat(state.open()).isEqualTo(101_500);
    assertThat(state.volume()).isEqualTo(200);
  }

  @Test
  void anOpeningPrintIsRegularWhateverItsTime() {
    taped.trade(at("09:29:59"), 101_000, 500, SaleCondition.OPENING.bit());

    assertThat(state.regularVolume()).isEqualTo(500);
    assertThat(state.premarketVolume()).isZero();
  }

  /**
   * Worked by hand: 100 at 10.00, 300 at 10.40, 600 at 10.10 make (1000 + 3120 + 6060) / 1000 =
   * 10.18.
   */
  @Test
  void vwapIsMoneyOverShares() {
    taped.trade(at("10:00:00"), 100_000, 100, REGULAR);
    taped.trade(at("10:00:01"), 104_000, 300, REGULAR);
    taped.trade(at("10:00:02"), 101_000, 600, REGULAR);
    taped.trade(at("10:00:03"), 500_000, 900, SaleCondition.AVERAGE_PRICE.bit());

    assertThat(state.vwapFromOpen()).isCloseTo(10.18, within(1e-12));
  }

  @Test
  void plainVwapStartsAnewAtTheOpen() {
    taped.trade(at("09:00:00"), 80_000, 1_000, EXTENDED);
    taped.trade(at("09:30:00"), 100_000, 1_000, REGULAR);

    assertThat(state.vwapAt(at("09:29:59"))).isCloseTo(9.0, within(1e-12));
    assertThat(state.vwapAt(at("09:30:00"))).isCloseTo(10.0, within(1e-12));
  }

  @Test
  void bouncingAroundVwapFiresOnceUntilAMinuteHasPassed() {
    taped.trade(at("10:00:00"), 100_000, 10_000, REGULAR);
    assertThat(taped.trade(at("10:00:01"), 99_990, 1, REGULAR) & Effect.FELL_THROUGH_VWAP).isZero();
    assertThat(taped.trade(at("10:00:02"), 100_010, 1, REGULAR) & Effect.ROSE_THROUGH_VWAP)
        .isNotZero();
    assertThat(taped.trade(at("10:00:03"), 99_990, 1, REGULAR) & Effect.FELL_THROUGH_VWAP).isZero();
    assertThat(taped.trade(at("10:01:03"), 99_990, 1, REGULAR) & Effect.FELL_THROUGH_VWAP)
        .isNotZero();
  }

  @Test
  void anEarlierPrintThatComesLateDoesNotReplaceThePrice() {
    taped.trade(at("10:00:05"), 101_000, 100, REGULAR);
    taped.trade(at("10:00:04"), 102_000, 100, REGULAR);

    assertThat(state.price()).isEqualTo(101_000);
    assertThat(state.dayHigh()).isEqualTo(102_000);
    assertThat(state.volume()).isEqualTo(200);
  }

  @Test
  void haltAndResumeAreToldOnce() {
    assertThat(taped.status(at("10:00:00"), TradingState.HALTED, "LUDP")).isEqualTo(Effect.HALTED);
    assertThat(taped.status(at("10:04:00"), TradingState.QUOTING, "LUDP")).isZero();
    assertThat(taped.status(at("10:05:00"), TradingState.TRADING, "LUDP"))
        .isEqualTo(Effect.RESUMED);
  }

  @Test
  void aCopySharesNothing() {
    taped.trade(at("10:00:00"), 101_000, 100, REGULAR);
    SymbolState copy = state.copy();
    taped.trade(at("10:00:01"), 109_000, 100, REGULAR);

    assertThat(copy.price()).isEqualTo(101_000);
    assertThat(copy.volume()).isEqualTo(100);
  }
}
