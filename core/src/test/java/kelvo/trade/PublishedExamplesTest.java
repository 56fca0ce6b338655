package kelvo.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** Cost methods against worked examples of tax authorities. */
class PublishedExamplesTest {
  private static Trade only(CostMethod method, String... fills) {
    return RoundTrips.of(Arrays.stream(fills).map(TestFills::fill).toList(), method)
        .trades()
        .getFirst();
  }

  /**
   * IRS Publication 551, "Basis of Assets", stocks and bonds, the example of XYZ Corporation (from
   * memory): 100 shares at $10 and 200 at $11, 50 given away at their cost, 100 more at $9, 130
   * sold. The shares sold cost 50 x $10 and 80 x $11, $1,380 in all; sold at $12 they gain $180.
   */
  @Test
  void theSharesBoughtFirstAreSoldFirst() {
    Trade trade =
        only(
            CostMethod.FIRST_IN_FIRST_OUT,
            "09:30 XYZ buy 100 10",
            "10:00 XYZ buy 200 11",
            "10:30 XYZ sell 50 10",
            "11:00 XYZ buy 100 9",
            "11:30 XYZ sell 130 12");

    assertThat(trade.result()).isEqualByComparingTo("180");
    assertThat(trade.openShares()).isEqualByComparingTo("220");
  }

  /**
   * HMRC helpsheet HS284, "Shares and Capital Gains Tax", the example of Lobster plc (from memory):
   * 1,000 shares at £4 with costs of £150 and 500 at £4.10 with £80 make a pool of £6,280. Of 700
   * sold at £4.80 with costs of £100 the gain is £3,360 - £100 - £2,931 = £329, of 400 more at
   * £5.20 with £105 it is £2,080 - £105 - £1,675 = £300. The costs of buying are in the prices
   * here.
   */
  @Test
  void poolsAreSoldAtTheirAverageCost() {
    String[] first = {
      "09:30 LOBSTER buy 1000 4.15", "10:00 LOBSTER buy 500 4.26", "11:00 LOBSTER sell 700 4.80 100"
    };
    Trade half = only(CostMethod.AVERAGE_COST, first);
    Trade all =
        only(
            CostMethod.AVERAGE_COST,
            first[0],
            first[1],
            first[2],
            "12:00 LOBSTER sell 400 5.20 105");

    assertThat(half.result().doubleValue()).isCloseTo(329.33, within(0.01));
    assertThat(all.result().doubleValue() - half.result().doubleValue())
        .isCloseTo(300.33, within(0.01));
  }

  /** Flat in the end, every method comes to the same cash. */
  @Test
  void methodsAgreeOnceAllIsSold() {
    String[] fills = {
      "09:30 XYZ buy 100 10 1",
      "10:00 XYZ buy 200 11 2",
      "11:00 XYZ sell 130 12 1.3",
      "12:00 XYZ sell 170 9 1.7"
    };

    assertThat(only(CostMethod.AVERAGE_COST, fills).result())
        .isEqualByComparingTo(only(CostMethod.FIRST_IN_FIRST_OUT, fills).result())
        .isEqualByComparingTo("-116");
  }
}
