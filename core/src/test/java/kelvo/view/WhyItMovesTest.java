package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import kelvo.hit.TestSessions;
import kelvo.news.Catalyst;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.time.Phases;
import kelvo.time.SessionHours;
import org.junit.jupiter.api.Test;

class WhyItMovesTest {
  private static final int EXTENDED = SaleCondition.EXTENDED.bit();
  private static final long EIGHT = DayTime.of(8, 0);

  private static WhyItMoves.Reason reason(int prints, long bid, long ask, Catalyst... news) {
    EventTape tape = new EventTape(1);
    IntStream.range(0, news.length).forEach(i -> tape.news(news[i].known(), 0, i));
    for (int i = 0; i < prints; i++) {
      tape.trade(EIGHT + i * DayTime.SECOND, 0, 110_000, 400, EXTENDED);
    }
    tape.quote(EIGHT + DayTime.MINUTE, 0, bid, 100, ask, 100);
    Session session =
        new Session(
            SessionHours.full(TestSessions.DATE),
            Phases.DEFAULT,
            TestSessions.of(1, t -> {}).securities(),
            List.of(news),
            List.of(),
            tape);
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(EIGHT + DayTime.HOUR);
    return new WhyItMoves(session).of(0, new Moment(replay, List.of()));
  }

  private static Catalyst item(long at, String headline, String... symbols) {
    return new Catalyst(at, "Harbour Wire", headline, "", List.of(symbols));
  }

  @Test
  void newsSinceTheCloseBeforeComesFirstWithItsTime() {
    WhyItMoves.Reason reason =
        reason(40, 109_900, 110_000, item(DayTime.of(7, 2), "AAAAAA signs contract", "AAAAAA"));

    assertThat(reason.kind()).isEqualTo(WhyItMoves.Kind.NEWS);
    assertThat(reason.words()).isEqualTo("contract, 07:02");
  }

  @Test
  void newsThatOnlyNamesItSaysSoAndOldNewsIsNoReason() {
    assertThat(
            reason(
                    40,
                    109_900,
                    110_000,
                    item(DayTime.of(7, 2), "Many things happen", "AAAAAA", "OTHERS"))
                .words())
        .isEqualTo("news, 07:02, named among others");
    assertThat(
            reason(40, 109_900, 110_000, item(-12 * DayTime.HOUR, "AAAAAA wins", "AAAAAA")).kind())
        .isNotEqualTo(WhyItMoves.Kind.NEWS);
  }

  @Test
  void aMoveOfFewPrintsOrAWideSpreadIsDoubted() {
    assertThat(reason(3, 109_900, 110_000).words()).isEqualTo("thin: 3 prints");
    assertThat(reason(40, 100_000, 110_000).words()).isEqualTo("the spread eats it");
    assertThat(reason(40, 100_000, 110_000).kind()).isEqualTo(WhyItMoves.Kind.DOUBT);
  }

  @Test
  void elseNothingIsFound() {
    assertThat(reason(40, 109_900, 110_000).kind()).isEqualTo(WhyItMoves.Kind.NOTHING);
  }
}
