package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.HaltReason;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class HaltsViewTest {
  private static final long HALT = DayTime.of(10, 0);
  private static final long RESUME = DayTime.of(10, 6);

  private static void halts(EventTape tape) {
    int regular = SaleCondition.REGULAR.bit();
    tape.trade(DayTime.of(9, 56), 0, 100_000, 500, regular);
    tape.trade(HALT - DayTime.SECOND, 0, 110_000, 500, regular);
    tape.status(HALT, 0, TradingState.HALTED, "LUDP");
    tape.status(HALT + 2 * DayTime.MINUTE, 1, TradingState.HALTED, "T1");
    tape.status(HALT + 4 * DayTime.MINUTE, 0, TradingState.QUOTING, "");
    tape.status(RESUME, 0, TradingState.TRADING, "");
    tape.trade(RESUME, 0, 121_000, 500, regular);
  }

  private HaltsView.HaltList at(long moment) {
    Session session = TestSessions.of(3, HaltsViewTest::halts);
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(moment);
    return new HaltsView(session).look(new Moment(replay, List.of()));
  }

  @Test
  void aPauseSaysItsDirectionItsCountAndItsEarliestEnd() {
    HaltsView.HaltList shown = at(HALT + DayTime.MINUTE);

    assertThat(shown.halted()).hasSize(1);
    HaltsView.Halted halted = shown.halted().getFirst();
    assertThat(halted.symbol()).isEqualTo("AAAAAA");
    assertThat(halted.direction()).isEqualTo(1);
    assertThat(halted.times()).isEqualTo(1);
    assertThat(halted.resumes()).isEqualTo(HALT + 5 * DayTime.MINUTE);
  }

  @Test
  void aHaltForNewsHasNoUsualEnd() {
    HaltsView.HaltList shown = at(HALT + 3 * DayTime.MINUTE);

    assertThat(shown.halted())
        .extracting(HaltsView.Halted::symbol)
        .containsExactly("BBBBBB", "AAAAAA");
    assertThat(shown.halted().getFirst().resumes()).isEqualTo(Long.MAX_VALUE);
    assertThat(HaltReason.words("T1")).isEqualTo("news pending");
    assertThat(HaltReason.words("ZZ9")).isEqualTo("reason ZZ9");
  }

  @Test
  void oneThatTradesAgainIsShownForTenMinutesWithWhatItDid() {
    HaltsView.HaltList shown = at(RESUME + DayTime.MINUTE);

    assertThat(shown.halted()).extracting(HaltsView.Halted::symbol).containsExactly("BBBBBB");
    assertThat(shown.resumed()).hasSize(1);
    assertThat(shown.resumed().getFirst().changePercent()).isCloseTo(10, within(1e-9));
    assertThat(at(RESUME + 11 * DayTime.MINUTE).resumed()).isEmpty();
  }

  @Test
  void allHaltsOfTheDayStayInTheHistory() {
    HaltsView.HaltList shown = at(DayTime.of(12, 0));

    assertThat(shown.all()).extracting(HaltsView.Past::symbol).containsExactly("BBBBBB", "AAAAAA");
    assertThat(shown.all().getLast().halt().to()).isEqualTo(RESUME);
    assertThat(shown.begun()).containsExactly(HALT + 2 * DayTime.MINUTE, HALT);
  }
}
