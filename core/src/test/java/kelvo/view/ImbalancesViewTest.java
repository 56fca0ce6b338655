package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class ImbalancesViewTest {
  private static void events(EventTape tape) {
    tape.imbalance(DayTime.of(9, 28), 0, true, 10_000, 40_000, Price.parse("10"));
    tape.imbalance(DayTime.of(9, 28), 1, false, 10_000, 90_000, Price.parse("10"));
    tape.imbalance(DayTime.of(9, 29), 0, true, 10_000, 50_000, Price.parse("10"));
    int opening = SaleCondition.REGULAR.bit() | SaleCondition.OPENING.bit();
    tape.trade(DayTime.of(9, 30), 1, Price.parse("10"), 90_000, opening);
  }

  private static List<ImbalancesView.Waiting> at(long moment) {
    Session session = TestSessions.of(3, ImbalancesViewTest::events);
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(moment);
    return new ImbalancesView(session).look(new Moment(replay, List.of()));
  }

  @Test
  void theMostDollarsComeFirstAndTheNewestMessageCounts() {
    assertThat(at(DayTime.of(9, 29) + DayTime.SECOND))
        .extracting(ImbalancesView.Waiting::symbol, ImbalancesView.Waiting::shares)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("BBBBBB", -90_000L),
            org.assertj.core.groups.Tuple.tuple("AAAAAA", 50_000L));
  }

  @Test
  void anAuctionThatHasHappenedWaitsForNobody() {
    assertThat(at(DayTime.of(9, 31)))
        .extracting(ImbalancesView.Waiting::symbol)
        .containsExactly("AAAAAA");
  }
}
