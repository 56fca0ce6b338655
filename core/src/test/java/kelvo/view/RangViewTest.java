package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import kelvo.alert.AlertLimits;
import kelvo.alert.AttentionOverDay;
import kelvo.alert.Ring;
import kelvo.alert.Silence;
import kelvo.hit.Program;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.player.SessionRun;
import kelvo.replay.TapeReplay;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

class RangViewTest {
  private static final long KEPT = DayTime.of(9, 35);
  private static final Scan RISERS =
      TestSessions.scan("risers", List.of(Trigger.ENTERS), "price at least 11");
  private static final DayBook BOOK =
      DayBook.EMPTY.with(new Decision("AAAAAA", KEPT, Choice.KEEP, "", Side.UP, "", ""));

  /** The first rises over 11 before and after it is kept; the second is halted. */
  private static void events(EventTape tape) {
    int regular = SaleCondition.REGULAR.bit();
    tape.trade(DayTime.of(9, 31), 0, Price.parse("11.10"), 500, regular);
    tape.trade(DayTime.of(9, 32), 0, Price.parse("10.50"), 500, regular);
    tape.trade(DayTime.of(9, 40), 0, Price.parse("11.20"), 500, regular);
    tape.trade(DayTime.of(9, 40) + 20 * DayTime.SECOND, 0, Price.parse("10.90"), 500, regular);
    tape.trade(DayTime.of(9, 40) + 40 * DayTime.SECOND, 0, Price.parse("11.20"), 500, regular);
    tape.status(DayTime.of(9, 45), 1, TradingState.HALTED, "LUDP");
    tape.status(DayTime.of(9, 46), 1, TradingState.HALTED, "LUDP");
  }

  private final Session session = TestSessions.of(2, RangViewTest::events);
  private final SessionRun run =
      SessionRun.of(session, new Program(List.of(RISERS), List.of()), Progress.NONE);

  private RangView view(Silence... silences) {
    return new RangView(
        session,
        new AttentionOverDay(BOOK, List.of(), Set.of(), Set.of()),
        AlertLimits.DEFAULT,
        List.of(silences));
  }

  private RangView.Rang at(RangView view, long moment) {
    TapeReplay replay = run.replay();
    run.seek(replay, moment);
    return view.look(new Moment(replay, run.hitsUntil(moment)));
  }

  @Test
  void onlyWhatConcernsTheTraderAtItsMomentRings() {
    RangView.Rang rang = at(view(), DayTime.of(10, 0));

    assertThat(rang.rings())
        .extracting(ring -> ring.event().symbol(), Ring::rank)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("BBBBBB", Ring.Rank.HALT_ELSEWHERE),
            org.assertj.core.groups.Tuple.tuple("AAAAAA", Ring.Rank.WATCHED));
    assertThat(rang.rings().getLast().event().at()).isEqualTo(DayTime.of(9, 40));
    assertThat(rang.rings().getFirst().event().words()).isEqualTo("halted, volatility pause");
    assertThat(rang.heldBack()).as("the repeat within the cooldown").isEqualTo(1);
  }

  @Test
  void goingOnAndGoingBackSayTheSameAsAskingAnew() {
    RangView walked = view();
    at(walked, DayTime.of(9, 41));
    RangView.Rang late = at(walked, DayTime.of(10, 0));

    assertThat(late).isEqualTo(at(view(), DayTime.of(10, 0)));
    assertThat(at(walked, DayTime.of(9, 42))).isEqualTo(at(view(), DayTime.of(9, 42)));
  }

  @Test
  void quietHoldsBackAllButHaltsAndWhatIsHeld() {
    RangView.Rang rang =
        at(view(Silence.ofAll(DayTime.of(9, 39), DayTime.of(9, 50))), DayTime.of(10, 0));

    assertThat(rang.rings()).extracting(Ring::rank).containsExactly(Ring.Rank.HALT_ELSEWHERE);
    assertThat(rang.heldBack()).isEqualTo(2);
  }
}
