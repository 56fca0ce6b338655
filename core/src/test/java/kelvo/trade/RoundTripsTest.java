package kelvo.trade;

import static kelvo.trade.TestFills.fill;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class RoundTripsTest {
  private static final LocalDate TUESDAY = LocalDate.of(2031, 3, 11);
  private static final LocalDate MONDAY = TUESDAY.minusDays(1);

  private static RoundTrips of(String... fills) {
    return RoundTrips.of(
        Arrays.stream(fills).map(TestFills::fill).toList(), CostMethod.FIRST_IN_FIRST_OUT);
  }

  /**
   * Common practice, no source: 500 shares bought at 5.76 and sold at 5.84 gain $40 before fees.
   */
  @Test
  void aRoundTripGainsWhatItSoldForLessWhatItCost() {
    assertThat(of("10:00 TIDARC buy 500 5.76", "10:01 TIDARC sell 500 5.84").trades())
        .singleElement()
        .satisfies(
            t -> {
              assertThat(t.result()).isEqualByComparingTo("40");
              assertThat(t.side()).isEqualTo(TradeSide.LONG);
              assertThat(t.closed()).isTrue();
            });
  }

  /** Common practice, no source: $15 of fees on 500 shares need 3 cents. */
  @Test
  void feesTakeTheirPartAndRebatesGiveIt() {
    assertThat(
            of("10:00 TIDARC buy 500 5.76 7.5", "10:01 TIDARC sell 500 5.79 7.5")
                .trades()
                .getFirst()
                .result())
        .isZero();
    assertThat(
            of("10:00 TIDARC buy 500 5.76 -0.35", "10:01 TIDARC sell 500 5.76 0.01234")
                .trades()
                .getFirst()
                .result())
        .isEqualByComparingTo("0.33766");
  }

  @Test
  void fractionsOfSharesAreExact() {
    Trade trade =
        of(
                "10:00 TIDARC buy 0.333333 3",
                "10:01 TIDARC buy 0.666667 3",
                "10:02 TIDARC sell 1 3.000001")
            .trades()
            .getFirst();

    assertThat(trade.closed()).isTrue();
    assertThat(trade.result()).isEqualByComparingTo("0.000001");
  }

  @Test
  void aFillThroughZeroEndsOneTradeAndBeginsTheNext() {
    List<Trade> trades =
        of("10:00 TIDARC buy 100 10", "10:01 TIDARC short 300 11 3", "10:02 TIDARC buy 500 10.5")
            .trades();

    assertThat(trades)
        .extracting(Trade::side)
        .containsExactly(TradeSide.LONG, TradeSide.SHORT, TradeSide.LONG);
    assertThat(trades.get(0).result()).isEqualByComparingTo("99");
    assertThat(trades.get(1).result()).isEqualByComparingTo("98");
    assertThat(trades.get(2).openShares()).isEqualByComparingTo("300");
  }

  /** A sell is never taken for a short, nor a cover for a purchase. */
  @Test
  void whatClosesMoreThanIsHeldWasOpenedBeforeTheRecord() {
    RoundTrips found =
        of(
            "10:00 TIDARC sell 50 11",
            "10:01 TIDARC buy 100 10",
            "10:02 TIDARC sell 120 11 0.6",
            "10:03 TIDARC cover 10 11");

    assertThat(found.trades())
        .singleElement()
        .satisfies(t -> assertThat(t.result()).isEqualByComparingTo("99.5"));
    assertThat(found.beforeRecord())
        .extracting(Fill::quantity)
        .usingElementComparator(BigDecimal::compareTo)
        .containsExactly(new BigDecimal(50), new BigDecimal(20), BigDecimal.TEN);
    assertThat(found.beforeRecord().get(1).fee()).isEqualByComparingTo("0.1");
  }

  private static List<Fill> carried(double ratio, String... monday) {
    TreeMap<LocalDate, List<Fill>> earlier = new TreeMap<>();
    earlier.put(MONDAY, Arrays.stream(monday).map(TestFills::fill).toList());
    return CarriedPositions.before(
        TUESDAY, earlier, (symbol, day) -> day.equals(MONDAY) ? ratio : 1);
  }

  private static RoundTrips then(List<Fill> carried, String... tuesday) {
    List<Fill> all = new java.util.ArrayList<>(carried);
    Arrays.stream(tuesday).map(TestFills::fill).forEach(all::add);
    return RoundTrips.of(all, CostMethod.FIRST_IN_FIRST_OUT);
  }

  @Test
  void whatWasBoughtOnMondayAndSoldOnTuesdayIsOneTrade() {
    RoundTrips found =
        then(
            carried(
                1, "15:00 TIDARC buy 100 10", "15:01 GLASBX buy 10 5", "15:02 GLASBX sell 10 6"),
            "09:40 TIDARC sell 100 12");

    assertThat(found.beforeRecord()).isEmpty();
    assertThat(found.trades())
        .as("what was closed on Monday belongs to Monday")
        .singleElement()
        .satisfies(
            t -> {
              assertThat(t.side()).isEqualTo(TradeSide.LONG);
              assertThat(t.entryAt()).isEqualTo(DayTime.of(15, 0) - DayTime.DAY);
              assertThat(t.result()).isEqualByComparingTo("200");
            });
  }

  /** 105 shares at $10 are 10.5 shares at $100 after a one-for-ten reverse split. */
  @Test
  void aSplitBetweenScalesWhatIsHeld() {
    RoundTrips found = then(carried(0.1, "15:00 TIDARC buy 105 10"), "09:40 TIDARC sell 10.5 101");

    assertThat(found.trades().getFirst().closed()).isTrue();
    assertThat(found.trades().getFirst().result()).isEqualByComparingTo("10.5");
  }

  /** Worked by hand: bought 100 at 10 and 100 at 12, sold 100 at 13 and holds 100. */
  @Test
  void theCostMethodMattersWhileATradeIsOpen() {
    List<Fill> fills =
        List.of(
            fill("10:00 TIDARC buy 100 10"),
            fill("10:01 TIDARC buy 100 12"),
            fill("10:02 TIDARC sell 100 13"));

    Trade fifo = RoundTrips.of(fills, CostMethod.FIRST_IN_FIRST_OUT).trades().getFirst();
    Trade average = RoundTrips.of(fills, CostMethod.AVERAGE_COST).trades().getFirst();

    assertThat(fifo.result()).isEqualByComparingTo("300");
    assertThat(average.result()).isEqualByComparingTo("200");
    assertThat(fifo.openShares()).isEqualByComparingTo("100");
    assertThat(fifo.entryPrice()).isCloseTo(11, within(1e-12));
  }
}
