package kelvo.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import kelvo.chart.RecentPrints.Place;
import kelvo.hit.TestSessions;
import kelvo.session.Session;
import kelvo.state.Halts;
import kelvo.state.PricePath;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

/** Minute bars, prints against quotes, halts and price paths of one security. */
class SymbolViewsTest {
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  private static long at(String time) {
    return DayTime.parse(time);
  }

  private final Session session =
      TestSessions.of(
          2,
          tape -> {
            tape.trade(at("10:00:05"), 0, 100_000, 100, REGULAR);
            tape.quote(at("10:00:10"), 0, 99_900, 100, 100_300, 200);
            tape.trade(at("10:00:20"), 0, 100_300, 200, REGULAR);
            tape.trade(at("10:00:21"), 1, 500_000, 900, REGULAR);
            tape.trade(at("10:00:30"), 0, 99_900, 300, REGULAR);
            tape.trade(at("10:00:40"), 0, 100_200, 100, REGULAR);
            tape.trade(at("10:00:50"), 0, 300_000, 7, SaleCondition.ODD_LOT.bit());
            tape.status(at("10:01:00"), 0, TradingState.HALTED, "LUDP");
            tape.status(at("10:06:00"), 0, TradingState.TRADING, "");
            tape.trade(at("10:06:01"), 0, 101_000, 400, REGULAR);
            tape.status(at("11:00:00"), 0, TradingState.HALTED, "T1");
          });

  @Test
  void aMinuteBarHoldsItsMinuteAndEmptyMinutesHaveNone() {
    var bars = new MinuteBars(session, 0).advanceTo(at("10:30:00"));

    assertThat(bars).extracting(b -> DayTime.minutes(b.start())).containsExactly("10:00", "10:06");
    assertThat(bars.getFirst())
        .satisfies(
            b -> {
              assertThat(b.open()).isEqualTo(100_000);
              assertThat(b.high()).isEqualTo(100_300);
              assertThat(b.low()).isEqualTo(99_900);
              assertThat(b.close()).isEqualTo(100_200);
              assertThat(b.volume()).isEqualTo(707);
            });
  }

  @Test
  void barsAreTheSameWhetherReachedAtOnceOrStepByStep() {
    MinuteBars stepped = new MinuteBars(session, 0);
    for (long moment = at("10:00:00"); moment < at("10:30:00"); moment += 7 * DayTime.SECOND) {
      stepped.advanceTo(moment);
    }

    assertThat(stepped.advanceTo(at("10:30:00")))
        .isEqualTo(new MinuteBars(session, 0).advanceTo(at("10:30:00")));
  }

  @Test
  void printsStandAgainstTheQuoteInForceWhenTheyWereMade() {
    RecentPrints recent = RecentPrints.of(session, 0, at("10:00:45"), 10);

    assertThat(recent.prints())
        .extracting(RecentPrints.Print::place)
        .containsExactly(Place.BETWEEN, Place.AT_BID, Place.AT_ASK, Place.NO_QUOTE);
  }

  /**
   * Worked by hand: 100 without a quote (half), 200 at the ask, 300 at the bid, 100 above the
   * middle.
   */
  @Test
  void theBuyingShareCountsWhatTradedAboveTheMiddle() {
    assertThat(RecentPrints.of(session, 0, at("10:00:45"), 10).buyingShare())
        .isCloseTo((50 + 200 + 0 + 100) / 700.0, within(1e-12));
    assertThat(RecentPrints.of(session, 1, at("10:00:45"), 10).buyingShare()).isNaN();
  }

  @Test
  void anOpenHaltHasNoEndAndAFutureOneIsUnknown() {
    assertThat(Halts.of(session, 0, at("10:02:00")).all())
        .singleElement()
        .satisfies(h -> assertThat(h.to()).isEqualTo(Long.MAX_VALUE));
    assertThat(Halts.of(session, 0, at("10:59:00")).all())
        .singleElement()
        .satisfies(h -> assertThat(h.to()).isEqualTo(at("10:06:00")));
    assertThat(Halts.of(session, 0, at("12:00:00")).tradingTime(at("10:00:00"), at("10:10:00")))
        .isEqualTo(5 * DayTime.MINUTE);
  }

  @Test
  void thePathHasWhatCouldBeHadAndNothingLater() {
    PricePath path = PricePath.of(session, 0, at("10:05:00"));

    assertThat(path.size()).isEqualTo(4);
    assertThat(path.best(at("10:00:05"), at("10:05:00"), 1)).isEqualTo(100_300);
    assertThat(path.best(at("10:00:05"), at("10:05:00"), -1)).isEqualTo(99_900);
    assertThat(path.best(at("10:00:40"), at("10:05:00"), 1)).isEqualTo(Price.NONE);
  }
}
