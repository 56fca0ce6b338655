package kelvo.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.TestSessions;
import kelvo.replay.TapeReplay;
import kelvo.session.Session;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import org.junit.jupiter.api.Test;

class FindViewTest {
  private static final int REGULAR = SaleCondition.REGULAR.bit();

  /** AAAAAA Works and BBBBBB Works, of which the second trades. */
  private static List<FindView.Candidate> found(String typed) {
    Session session =
        TestSessions.of(2, tape -> tape.trade(DayTime.of(10, 0), 1, 110_000, 100, REGULAR));
    TapeReplay replay = new TapeReplay(session);
    replay.runTo(DayTime.of(11, 0));
    return new FindView(session, typed).look(new Moment(replay, List.of()));
  }

  @Test
  void aSymbolIsFoundByItsBeginningInAnyCaseWithItsPriceOfNow() {
    assertThat(found(" bb ")).extracting(FindView.Candidate::symbol).containsExactly("BBBBBB");
    assertThat(found("bb").getFirst().price()).isEqualTo(110_000);
    assertThat(found("bb").getFirst().name()).isEqualTo("BBBBBB Works");
  }

  @Test
  void aPartOfTheNameFindsAllThatHaveItTheMostTradedFirst() {
    assertThat(found("work"))
        .extracting(FindView.Candidate::symbol)
        .containsExactly("BBBBBB", "AAAAAA");
  }

  @Test
  void nothingTypedAndNothingMatchingFindNobody() {
    assertThat(found("")).isEmpty();
    assertThat(found("zzz")).isEmpty();
  }
}
