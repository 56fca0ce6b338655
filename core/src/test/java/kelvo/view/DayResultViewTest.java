package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trade.CostMethod;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import kelvo.trade.LossLimit;
import org.junit.jupiter.api.Test;

class DayResultViewTest {
  private static Fill fill(String symbol, FillSide side, int shares, String price) {
    return new Fill(
        DayTime.of(9, 40),
        symbol,
        side,
        BigDecimal.valueOf(shares),
        new BigDecimal(price),
        BigDecimal.ONE,
        "main",
        "");
  }

  @Test
  void whatIsClosedAndWhatIsHeldCountTogether() {
    Session session =
        TestSessions.of(
            2,
            tape ->
                tape.trade(
                    DayTime.of(9, 50), 0, Price.parse("10.50"), 500, SaleCondition.REGULAR.bit()));
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.of(10, 0));
    List<Fill> fills =
        List.of(
            fill("AAAAAA", FillSide.BUY, 300, "10.00"),
            fill("BBBBBB", FillSide.BUY, 100, "20.00"),
            fill("BBBBBB", FillSide.SELL, 100, "18.00"));

    DayResultView.Result result =
        new DayResultView(session, fills, CostMethod.FIRST_IN_FIRST_OUT)
            .look(new Moment(replay, List.of()));

    assertThat(result.net()).isCloseTo(150 - 1 - 200 - 2, within(1e-9));
    assertThat(result.held()).isEqualTo(1);
  }

  @Test
  void theLimitWarnsAtHalfAndAtTheWhole() {
    assertThat(LossLimit.of(-249, 500)).isEqualTo(LossLimit.FINE);
    assertThat(LossLimit.of(-250, 500)).isEqualTo(LossLimit.HALF);
    assertThat(LossLimit.of(-500, 500)).isEqualTo(LossLimit.WHOLE);
    assertThat(LossLimit.of(-9_000, 0)).as("no limit is set").isEqualTo(LossLimit.FINE);
  }
}
