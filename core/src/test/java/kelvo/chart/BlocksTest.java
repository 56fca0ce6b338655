package kelvo.chart;

import static org.assertj.core.api.Assertions.assertThat;

import kelvo.hit.TestSessions;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class BlocksTest {
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  private static void prints(EventTape tape) {
    tape.trade(DayTime.of(9, 40), 0, Price.parse("10"), 25_000, REGULAR);
    tape.trade(DayTime.of(9, 41), 0, Price.parse("10"), 24_999, REGULAR);
    tape.trade(DayTime.of(9, 42), 1, Price.parse("10"), 90_000, REGULAR);
    tape.trade(DayTime.of(9, 43), 0, Price.parse("10"), 90_000, SaleCondition.CONTINGENT.bit());
    tape.trade(
        DayTime.of(16, 0), 0, Price.parse("10"), 90_000, REGULAR | SaleCondition.CLOSING.bit());
  }

  @Test
  void aPrintOfTheMomentWithEnoughMoneyIsABlockAndAnAuctionsIsNone() {
    Session session = TestSessions.of(2, BlocksTest::prints);
    MinuteBars bars = new MinuteBars(session, 0, 250_000);

    bars.advanceTo(DayTime.of(9, 39));
    assertThat(bars.blocks()).isEmpty();
    bars.advanceTo(DayTime.of(17, 0));
    assertThat(bars.blocks())
        .containsExactly(new Block(DayTime.of(9, 40), Price.parse("10"), 25_000));
    assertThat(bars.blocks().getFirst().dollars()).isEqualTo(250_000);
  }

  @Test
  void whoAsksForNoneHasNone() {
    MinuteBars bars = new MinuteBars(TestSessions.of(2, BlocksTest::prints), 0);
    bars.advanceTo(DayTime.of(17, 0));

    assertThat(bars.blocks()).isEmpty();
  }
}
