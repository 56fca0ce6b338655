package kelvo.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import kelvo.trade.CostMethod;
import kelvo.trade.Fill;
import kelvo.trade.RoundTrips;
import kelvo.trade.TestFills;
import org.junit.jupiter.api.Test;

class TradeTotalsTest {
  /** Trades of 100 shares that gain or lose so many dollars, one after the other. */
  private static TradeTotals totals(int... results) {
    List<Fill> fills = new ArrayList<>();
    int minute = 0;
    for (int result : results) {
      String time = "10:%02d".formatted(minute++);
      fills.add(TestFills.fill(time + " TIDARC buy 100 10"));
      fills.add(TestFills.fill(time + " TIDARC sell 100 " + (10 + result / 100.0)));
    }
    return TradeTotals.of(RoundTrips.of(fills, CostMethod.FIRST_IN_FIRST_OUT).trades());
  }

  /** Worked by hand: +100, -50, 0, -80, +30 stand at 100, 50, 50, -30, 0. */
  @Test
  void winsLossesAndTheLargestFall() {
    TradeTotals totals = totals(100, -50, 0, -80, 30);

    assertThat(totals.wins()).isEqualTo(2);
    assertThat(totals.losses()).isEqualTo(2);
    assertThat(totals.net()).isCloseTo(0, within(1e-9));
    assertThat(totals.winRate()).isCloseTo(0.4, within(1e-12));
    assertThat(totals.profitFactor()).isCloseTo(1, within(1e-12));
    assertThat(totals.expectancy()).isCloseTo(0, within(1e-9));
    assertThat(totals.drawdown()).isCloseTo(130, within(1e-9));
  }

  @Test
  void aFirstLossIsAFallFromZero() {
    assertThat(totals(-70, 20).drawdown()).isCloseTo(70, within(1e-9));
  }

  @Test
  void withoutTradesRatesAreUnknown() {
    assertThat(totals().winRate()).isNaN();
    assertThat(totals(40).profitFactor()).isNaN();
  }
}
