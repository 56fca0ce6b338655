package kelvo.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import kelvo.hit.Hit;
import kelvo.hit.TestSessions;
import kelvo.journal.DayBook;
import kelvo.journal.HandMatch;
import kelvo.journal.JournalPage;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trade.TestFills;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

/** What the trader says of a trade counts more than what Kelvo finds. */
class HandMatchTest {
  private static final Scan HIGHS =
      TestSessions.scan("highs", List.of(Trigger.NEW_HIGH_OF_SESSION), "change % at least 2%");
  private static final Session SESSION =
      TestSessions.of(
          1,
          tape -> {
            TestSessions.print(tape, "09:40:00", 0, 10.00);
            TestSessions.print(tape, "09:45:00", 0, 10.30);
            TestSessions.print(tape, "10:30:00", 0, 10.50);
            TestSessions.print(tape, "10:40:00", 0, 10.40);
          });
  private static final List<Hit> HITS = TestSessions.hits(SESSION, HIGHS);
  private static final DayBook BOOK =
      DayBook.EMPTY.withFills(
          List.of(
              TestFills.fill("10:31:00 AAAAAA buy 100 10.50"),
              TestFills.fill("10:40:00 AAAAAA sell 100 10.40")));

  private static DayReview review(JournalPage page) {
    return DayReview.of(
        SESSION, List.of(HIGHS), HITS, BOOK.with(page), ReviewSettings.DEFAULT, DayTime.of(16, 0));
  }

  private static ReviewedTrade trade(HandMatch.Says says, long moveStart) {
    ReviewedTrade found = review(JournalPage.EMPTY).trades().getFirst();
    return review(JournalPage.EMPTY.with(new HandMatch(found.subject(), says, moveStart)))
        .trades()
        .getFirst();
  }

  @Test
  void anEarlierMoveCanBeSaidToHaveBeenTheOne() {
    ReviewedTrade found = review(JournalPage.EMPTY).trades().getFirst();
    assertThat(found.verdict()).isEqualTo(TradeVerdict.ON_A_HIT);
    assertThat(found.byHand()).isFalse();
    assertThat(found.possibleMoves(review(JournalPage.EMPTY)))
        .extracting(move -> DayTime.minutes(move.move().start()))
        .containsExactly("09:45", "10:30");

    ReviewedTrade said = trade(HandMatch.Says.THIS_MOVE, DayTime.of(9, 45));

    assertThat(said.byHand()).isTrue();
    assertThat(said.lateness()).isEqualTo(46 * DayTime.MINUTE);
    assertThat(said.verdict()).isEqualTo(TradeVerdict.LATE);
    assertThat(VerdictText.of(said, ReviewSettings.DEFAULT).rule())
        .contains("you matched it to this move");
  }

  @Test
  void aTradeCanBeSaidToHaveBeenOnNoHit() {
    ReviewedTrade said = trade(HandMatch.Says.OFF_PLAN, 0);

    assertThat(said.verdict()).isEqualTo(TradeVerdict.OFF_PLAN);
    assertThat(VerdictText.of(said, ReviewSettings.DEFAULT).because())
        .isEqualTo("on no hit, as you say");
  }

  @Test
  void whatWasSaidCanBeTakenBack() {
    assertThat(trade(HandMatch.Says.AS_FOUND, 0))
        .isEqualTo(review(JournalPage.EMPTY).trades().getFirst());
  }

  @Test
  void aMoveThatIsNoLongerThereIsNotClungTo() {
    ReviewedTrade said = trade(HandMatch.Says.THIS_MOVE, DayTime.of(9, 50));

    assertThat(said.byHand()).isFalse();
    assertThat(said.verdict()).isEqualTo(TradeVerdict.ON_A_HIT);
  }
}
