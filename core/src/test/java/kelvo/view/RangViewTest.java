package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import kelvo.alert.Alert;
import kelvo.alert.AlertBook;
import kelvo.alert.AlertLimits;
import kelvo.alert.AlertScans;
import kelvo.alert.AlertSentence;
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
import kelvo.rule.Vocabulary;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.Price;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.trigger.Trigger;
import kelvo.view.AlertStanding.State;
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
    return view(AlertBook.EMPTY, silences);
  }

  private RangView view(AlertBook rings, Silence... silences) {
    return new RangView(
        session,
        new AttentionOverDay(TestSessions.DATE, BOOK, List.of(), rings, Set.of()),
        AlertLimits.DEFAULT,
        List.of(silences));
  }

  private RangView.Rang at(RangView view, long moment) {
    return at(run, view, moment);
  }

  private static RangView.Rang at(SessionRun run, RangView view, long moment) {
    TapeReplay replay = run.replay();
    run.seek(replay, moment);
    return view.look(new Moment(replay, run.hitsUntil(moment)));
  }

  @Test
  void onlyWhatConcernsTheTraderAtItsMomentRings() {
    RangView.Rang rang = at(view(), DayTime.of(10, 0));

    assertThat(rang.rings())
        .extracting(rung -> rung.ring().event().symbol(), rung -> rung.ring().rank())
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("BBBBBB", Ring.Rank.HALT_ELSEWHERE),
            org.assertj.core.groups.Tuple.tuple("AAAAAA", Ring.Rank.WATCHED));
    assertThat(rang.rings().getLast().ring().event().at()).isEqualTo(DayTime.of(9, 40));
    assertThat(rang.rings().getFirst().ring().event().words())
        .isEqualTo("halted, volatility pause");
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

    assertThat(rang.rings())
        .extracting(rung -> rung.ring().rank())
        .containsExactly(Ring.Rank.HALT_ELSEWHERE);
    assertThat(rang.heldBack()).isEqualTo(2);
  }

  @Test
  void whatFollowedARingIsKnownWhenItsTimeHasPassed() {
    Aftermath early = at(view(), DayTime.of(9, 40) + 50 * DayTime.SECOND).rings().getLast().after();
    Aftermath later = at(view(), DayTime.of(9, 56)).rings().getLast().after();

    assertThat(early).isEqualTo(Aftermath.UNKNOWN);
    assertThat(later.one()).as("11.20 again").isZero();
    assertThat(later.fifteen()).isZero();
  }

  @Test
  void anAlertStandsArmedThenSpentWithWhatItDid() {
    Alert alert = alert("BBBBBB halt");
    Alert off = alert("AAAAAA rises through 12.40").off(TestSessions.DATE.atTime(9, 30));
    Alert snoozed =
        alert("AAAAAA rises through 13")
            .snooze(TestSessions.DATE.atTime(9, 40), TestSessions.DATE.atTime(10, 30));
    Alert over = alert("AAAAAA rises through 14, until 2031-03-11");
    Alert nobody = alert("NOSUCH rises through 14");
    AlertBook book = new AlertBook(List.of(alert, off, snoozed, over, nobody), Map.of());
    List<Scan> asked =
        new AlertScans(TestSessions.DATE, List.of(), List.of(), List.of()).of(book.alerts());
    SessionRun alerting =
        SessionRun.of(session, new Program(List.of(RISERS), List.of(), asked), Progress.NONE);

    List<AlertStanding> before = at(alerting, view(book), DayTime.of(9, 35)).alerts();
    List<AlertStanding> after = at(alerting, view(book), DayTime.of(10, 0)).alerts();

    assertThat(before)
        .extracting(AlertStanding::state)
        .startsWith(State.ARMED, State.OFF, State.ARMED);
    assertThat(after)
        .extracting(AlertStanding::state)
        .containsExactly(State.SPENT, State.OFF, State.SNOOZED, State.OVER, State.NOBODY);
    assertThat(after.getFirst().rings()).isEqualTo(1);
    assertThat(after.getFirst().lastAt()).isEqualTo(DayTime.of(9, 45));
    assertThat(after.get(1).distance()).as("from 11.20").isEqualTo("+10.7%");
  }

  private static Alert alert(String sentence) {
    return AlertSentence.parse(sentence, Vocabulary.DEFAULT, TestSessions.DATE)
        .alert()
        .arm(TestSessions.DATE.atTime(9, 0));
  }
}
