package kelvo.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class RoundTripsTest {
  private static Fill fill(int at, FillSide side, long quantity, double price) {
    return new Fill(at, "TIDARC", side, quantity, Math.round(price * 10_000), 0, "main", "");
  }

  /**
   * Common practice, no source: 500 shares bought at 5.76 and sold at 5.84 gain $40 before fees.
   */
  @Test
  void aRoundTripGainsWhatItSoldForLessWhatItCost() {
    List<Trade> trades =
        RoundTrips.of(
            List.of(fill(1, FillSide.BUY, 500, 5.76), fill(2, FillSide.SELL, 500, 5.84)),
            CostMethod.FIRST_IN_FIRST_OUT);

    assertThat(trades)
        .singleElement()
        .satisfies(
            t -> {
              assertThat(t.result()).isEqualTo(400_000);
              assertThat(t.side()).isEqualTo(TradeSide.LONG);
              assertThat(t.closed()).isTrue();
            });
  }

  /** Common practice, no source: $15 of fees on 500 shares need 3 cents. */
  @Test
  void feesTakeTheirPart() {
    Fill in = new Fill(1, "TIDARC", FillSide.BUY, 500, 57_600, 75_000, "main", "");
    Fill out = new Fill(2, "TIDARC", FillSide.SELL, 500, 57_900, 75_000, "main", "");

    assertThat(RoundTrips.of(List.of(in, out), CostMethod.FIRST_IN_FIRST_OUT).getFirst().result())
        .isZero();
  }

  @Test
  void aFillThroughZeroEndsOneTradeAndBeginsTheNext() {
    List<Trade> trades =
        RoundTrips.of(
            List.of(
                fill(1, FillSide.BUY, 100, 10),
                new Fill(2, "TIDARC", FillSide.SELL, 300, 110_000, 30_000, "main", ""),
                fill(3, FillSide.COVER, 200, 10.5)),
            CostMethod.FIRST_IN_FIRST_OUT);

    assertThat(trades).hasSize(2);
    assertThat(trades.get(0).result()).isEqualTo(100 * 10_000 - 10_000);
    assertThat(trades.get(1).side()).isEqualTo(TradeSide.SHORT);
    assertThat(trades.get(1).result()).isEqualTo(200 * 5_000 - 20_000);
  }

  /** Worked by hand: bought 100 at 10 and 100 at 12, sold 100 at 13 and holds 100. */
  @Test
  void theCostMethodMattersWhileATradeIsOpen() {
    List<Fill> fills =
        List.of(
            fill(1, FillSide.BUY, 100, 10),
            fill(2, FillSide.BUY, 100, 12),
            fill(3, FillSide.SELL, 100, 13));

    Trade fifo = RoundTrips.of(fills, CostMethod.FIRST_IN_FIRST_OUT).getFirst();
    Trade average = RoundTrips.of(fills, CostMethod.AVERAGE_COST).getFirst();

    assertThat(fifo.result()).isEqualTo(300 * 10_000);
    assertThat(average.result()).isEqualTo(200 * 10_000);
    assertThat(fifo.openShares()).isEqualTo(100);
    assertThat(fifo.entryPrice()).isCloseTo(11, within(1e-12));
  }

  /** Bought above 0, sold below: whatever the fills, money and shares are conserved. */
  @Property(tries = 200)
  void nothingIsLostOrMade(
      @ForAll @Size(min = 1, max = 40) List<@IntRange(min = -900, max = 900) Integer> quantities) {
    List<Fill> fills = new ArrayList<>();
    long position = 0;
    long money = 0;
    for (int i = 0; i < quantities.size(); i++) {
      int quantity = quantities.get(i) == 0 ? 1 : quantities.get(i);
      long price = 100_000 + i * 1_300L % 9_000;
      fills.add(
          new Fill(
              i,
              "TIDARC",
              quantity > 0 ? FillSide.BUY : FillSide.SELL,
              Math.abs(quantity),
              price,
              7,
              "main",
              ""));
      position += quantity;
      money -= quantity * price;
    }
    List<Trade> trades = RoundTrips.of(fills, CostMethod.FIRST_IN_FIRST_OUT);

    assertThat(trades.stream().mapToLong(Trade::fees).sum()).isEqualTo(7L * fills.size());
    assertThat(trades.stream().mapToLong(Trade::openShares).sum()).isEqualTo(Math.abs(position));
    if (position == 0) {
      assertThat(trades.stream().mapToLong(Trade::result).sum())
          .isEqualTo(money - 7L * fills.size());
    }
  }
}
