package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trade.Fees;
import org.junit.jupiter.api.Test;

class SizeViewTest {
  private static final long NOW = DayTime.of(10, 0);

  @Test
  void itIsReckonedFromThePriceNowWithTheSpread() {
    Session session = TestSessions.after(List.of("10 10.20 9.80 10 1000"));
    session.tape().quote(NOW - DayTime.SECOND, 0, 99_900, 300, 100_100, 300);
    session.tape().trade(NOW - 1, 0, 100_000, 500, SaleCondition.REGULAR.bit());
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(NOW);
    SizeView view = new SizeView(0, Price.parse("9.50"), 260, Fees.NONE);

    SizeView.Size size = view.look(new Moment(replay, List.of())).orElseThrow();

    assertThat(size.entry()).isEqualTo(100_000);
    assertThat(size.position().shares()).isEqualTo(500);
    assertThat(size.position().breakEven()).isEqualTo(0.02);
  }
}
