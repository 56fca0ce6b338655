package kelvo.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import kelvo.time.DayTime;
import kelvo.trade.CostMethod;
import kelvo.trade.Fill;
import kelvo.trade.RoundTrips;
import kelvo.trade.Trade;
import org.junit.jupiter.api.Test;

class KeptCallTest {
  private static KeptCall call(DrillCall call, double exit, double result) {
    return new KeptCall(
        LocalDate.of(2031, 2, 3),
        "TIDARC",
        DayTime.of(10, 0),
        DayTime.of(10, 1),
        10,
        0.02,
        new DrillScore(call, result, result / 0.02, false, 0.01, DayTime.of(10, 30), exit));
  }

  @Test
  void eachCallIsATradeOfItsOwn() {
    List<Fill> fills =
        Stream.of(
                call(DrillCall.LONG, 10.5, 0.05).fills(1),
                call(DrillCall.SHORT, 10.2, -0.02).fills(2))
            .flatMap(List::stream)
            .toList();

    List<Trade> trades = RoundTrips.of(fills, CostMethod.FIRST_IN_FIRST_OUT).trades();

    assertThat(trades).hasSize(2).allMatch(Trade::closed);
    assertThat(trades)
        .extracting(trade -> trade.result().stripTrailingZeros())
        .containsExactlyInAnyOrder(
            new BigDecimal("500").stripTrailingZeros(),
            new BigDecimal("-200").stripTrailingZeros());
  }

  @Test
  void whoStaysOutHasNoTrade() {
    assertThat(call(DrillCall.NO, Double.NaN, 0).fills(1)).isEmpty();
  }

  @Test
  void allCallsAreSummedUp() {
    assertThat(
            KeptCall.words(
                List.of(call(DrillCall.LONG, 10.5, 0.05), call(DrillCall.NO, Double.NaN, 0))))
        .isEqualTo(
            "In all 2 calls so far: +2.5% a case in the mean, +2.5 times the stop where you were in;"
                + " the scan alone +1.0%.");
    assertThat(KeptCall.words(List.of())).isEmpty();
  }
}
