package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.practice.Instruction;
import kelvo.practice.PaperAccount;
import kelvo.practice.PaperOrder;
import kelvo.practice.Terms;
import kelvo.replay.TapeReplay;
import kelvo.research.UsualSpreads;
import kelvo.session.Session;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class PaperViewTest {
  private static final long TEN = DayTime.of(10, 0);
  private static final int QUOTED = 0;
  private static final int UNQUOTED = 1;

  private final Session session =
      TestSessions.of(
          2,
          tape -> {
            tape.quote(TEN, QUOTED, Price.of(9.95), 500, Price.of(10.05), 500);
            tape.trade(
                TEN + DayTime.MINUTE, UNQUOTED, Price.of(20), 500, SaleCondition.REGULAR.bit(), 1);
          });

  private Instruction buy(int security, long at) {
    String symbol = session.security(security).symbol();
    return new Instruction.Place(
        at, new PaperOrder(security + 1, symbol, 1, 100, new Terms.Market()));
  }

  private PaperAccount account(@Nullable UsualSpreads spreads, List<Instruction> instructions) {
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.of(11, 0));
    return new PaperView(session, () -> 0, spreads, () -> instructions)
        .look(new Moment(replay, List.of()));
  }

  @Test
  void whereThereAreQuotesNoUsualSpreadIsWaitedFor() {
    assertThat(account(null, List.of(buy(QUOTED, TEN))).fills()).hasSize(1);
  }

  @Test
  void anOrderWithoutQuotesIsOnItsWayUntilTheUsualSpreadsAreKnown() {
    List<Instruction> instructions = List.of(buy(UNQUOTED, TEN), buy(UNQUOTED, DayTime.of(12, 0)));

    PaperAccount waiting = account(null, instructions);
    PaperAccount known = account(UsualSpreads.NONE, instructions);

    assertThat(waiting.onTheirWay()).containsExactly(instructions.getFirst());
    assertThat(waiting.fills()).isEmpty();
    assertThat(known.onTheirWay()).isEmpty();
    assertThat(known.fills())
        .singleElement()
        .satisfies(fill -> assertThat(fill.price()).isEqualByComparingTo("20.005"));
  }

  @Test
  void aQuoteOfLaterIsNoneYet() {
    assertThat(PaperView.areQuoted(session, List.of(buy(QUOTED, TEN)))).isTrue();
    assertThat(PaperView.areQuoted(session, List.of(buy(QUOTED, TEN - 1)))).isFalse();
    assertThat(PaperView.areQuoted(session, List.of(buy(UNQUOTED, TEN)))).isFalse();
  }
}
