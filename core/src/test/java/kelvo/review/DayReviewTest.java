package kelvo.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.hit.Hit;
import kelvo.hit.TestSessions;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.journal.FocusSpan;
import kelvo.level.Level;
import kelvo.level.LevelKind;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.FillSide;
import kelvo.trigger.Trigger;
import org.junit.jupiter.api.Test;

/**
 * One invented stock: flat at 10.00, jumps over 10.50 at 10:00, reaches 12.00 at 10:20, falls to
 * 11.00.
 */
class DayReviewTest {
  private static final Scan RISERS = TestSessions.scan("risers", List.of(), "change % at least 5%");
  private static final Session SESSION =
      TestSessions.of(
          2,
          tape -> {
            print(tape, "09:40:00", 10.00);
            print(tape, "09:50:00", 10.10);
            print(tape, "10:00:00", 10.50);
            print(tape, "10:00:10", 10.60);
            print(tape, "10:10:00", 11.30);
            print(tape, "10:20:00", 12.00);
            print(tape, "10:40:00", 11.00);
            print(tape, "15:00:00", 9.00);
            print(tape, "15:30:00", 10.60);
          });
  private static final List<Hit> HITS = TestSessions.hits(SESSION, RISERS);

  private static void print(EventTape tape, String time, double price) {
    tape.trade(
        DayTime.parse(time), 0, Math.round(price * 10_000), 1_000, SaleCondition.REGULAR.bit());
  }

  private static Fill fill(String time, FillSide side, double price) {
    return new Fill(
        DayTime.parse(time), "AAAAAA", side, 100, Math.round(price * 10_000), 0, "main", "");
  }

  private static DayReview review(DayBook book, String until) {
    return DayReview.of(
        SESSION, List.of(RISERS), HITS, book, ReviewSettings.DEFAULT, DayTime.parse(until));
  }

  private static DayBook trading(String in, double entry, String out, double exit) {
    return DayBook.EMPTY.withFills(
        List.of(fill(in, FillSide.BUY, entry), fill(out, FillSide.SELL, exit)));
  }

  @Test
  void hitsFarApartAreTwoMoves() {
    assertThat(review(DayBook.EMPTY, "16:00").moves())
        .extracting(m -> DayTime.minutes(m.move().start()))
        .containsExactly("10:00", "15:30");
  }

  @Test
  void aPromptEntryIsOnAHit() {
    ReviewedTrade trade =
        review(trading("10:01:00", 10.60, "10:20:00", 12.00), "16:00").trades().getFirst();

    assertThat(trade.verdict()).isEqualTo(TradeVerdict.ON_A_HIT);
    assertThat(trade.lateness()).isEqualTo(DayTime.MINUTE);
    assertThat(trade.chasePercent()).isCloseTo(100 * 0.10 / 10.50, within(1e-9));
    assertThat(trade.chaseMoney()).isCloseTo(10.0, within(1e-9));
    assertThat(trade.capturedShare()).isCloseTo(1.40 / 1.50, within(1e-9));
    assertThat(trade.bestPercent()).isCloseTo(100 * 1.40 / 10.60, within(1e-9));
  }

  @Test
  void anEntryFarAboveTheHitIsLate() {
    assertThat(
            review(trading("10:12:00", 11.40, "10:20:00", 12.00), "16:00")
                .trades()
                .getFirst()
                .verdict())
        .isEqualTo(TradeVerdict.LATE);
  }

  @Test
  void aSlowEntryIsLateUnlessAtAPlannedLevel() {
    DayBook slow = trading("10:05:00", 10.60, "10:20:00", 12.00);
    Level level = Level.standing("AAAAAA", 106_000, LevelKind.BY_HAND, DayTime.of(9, 0));

    assertThat(review(slow, "16:00").trades().getFirst().verdict()).isEqualTo(TradeVerdict.LATE);
    assertThat(review(slow.with(level), "16:00").trades().getFirst().verdict())
        .isEqualTo(TradeVerdict.ON_A_HIT);
  }

  @Test
  void aTradeWithNoMoveBehindItIsOffPlanAndTotalledApart() {
    DayReview review = review(trading("09:45:00", 10.10, "09:50:00", 10.00), "16:00");

    assertThat(review.trades().getFirst().verdict()).isEqualTo(TradeVerdict.OFF_PLAN);
    assertThat(review.offPlan().net()).isCloseTo(-10, within(1e-9));
    assertThat(review.offPlan().winRate()).isZero();
  }

  @Test
  void riskIsMeasuredToTheStopKnownAtEntry() {
    DayBook book =
        trading("10:01:00", 10.60, "10:20:00", 12.00)
            .with(Level.standing("AAAAAA", 102_500, LevelKind.STOP, DayTime.of(9, 0)));

    assertThat(review(book, "16:00").trades().getFirst().r()).isCloseTo(140.0 / 35.0, within(1e-9));
  }

  @Test
  void verdictsOfAMoveFollowTheirOrder() {
    Decision drop = new Decision("AAAAAA", DayTime.of(9, 0), Choice.DROP, "thin", Side.UP, "", "");
    FocusSpan looked = new FocusSpan("AAAAAA", DayTime.of(10, 1), DayTime.of(10, 2));
    DayBook late = trading("10:12:00", 11.40, "10:20:00", 12.00);

    assertThat(first(DayBook.EMPTY)).isEqualTo(MoveVerdict.MISSED);
    assertThat(first(DayBook.EMPTY.with(looked))).isEqualTo(MoveVerdict.PASSED);
    assertThat(first(DayBook.EMPTY.with(looked).with(drop))).isEqualTo(MoveVerdict.DROPPED);
    assertThat(first(late.with(drop))).isEqualTo(MoveVerdict.LATE);
    assertThat(first(trading("10:01:00", 10.60, "10:20:00", 12.00).with(drop)))
        .isEqualTo(MoveVerdict.TAKEN);
  }

  private static MoveVerdict first(DayBook book) {
    return review(book, "16:00").moves().getFirst().verdict();
  }

  @Test
  void theOutcomeIsMeasuredFromTheFirstPriceThatCouldBeHad() {
    Outcome outcome = review(DayBook.EMPTY, "16:00").moves().getFirst().outcome();

    assertThat(outcome.halfHour().best()).isCloseTo(100 * 1.40 / 10.60, within(1e-9));
    assertThat(outcome.halfHour().worst()).isZero();
    assertThat(outcome.toClose().worst()).isCloseTo(100 * (9.00 - 10.60) / 10.60, within(1e-9));
    assertThat(outcome.goneShare()).isCloseTo(0.5 / 2.0, within(1e-9));
    assertThat(outcome.ran()).isEqualTo(Outcome.Ran.YES);
  }

  @Test
  void nothingAfterTheMomentOfTheQuestionIsUsed() {
    DayReview early = review(trading("10:01:00", 10.60, "10:20:00", 12.00), "10:05");

    assertThat(early.moves()).hasSize(1);
    assertThat(early.trades().getFirst().trade().closed()).isFalse();
    assertThat(early.moves().getFirst().outcome().halfHour().best()).isZero();
    assertThat(early.all().trades()).isZero();
  }

  @Test
  void aLookThatComesAfterTheMomentOfTheQuestionIsNotKnownYet() {
    DayBook looked =
        DayBook.EMPTY.with(new FocusSpan("AAAAAA", DayTime.of(10, 6), DayTime.of(10, 8)));

    assertThat(review(looked, "10:05").moves().getFirst().verdict()).isEqualTo(MoveVerdict.MISSED);
    assertThat(review(looked, "10:09").moves().getFirst().verdict()).isEqualTo(MoveVerdict.PASSED);
  }

  @Test
  void aTradeInASymbolThatTheSessionDoesNotHaveIsKept() {
    Fill strange = new Fill(DayTime.of(10, 0), "ZZZZZZ", FillSide.BUY, 10, 50_000, 0, "main", "");

    assertThat(review(DayBook.EMPTY.withFills(List.of(strange)), "16:00").trades())
        .singleElement()
        .extracting(ReviewedTrade::verdict)
        .isEqualTo(TradeVerdict.OFF_PLAN);
  }

  @Test
  void haltedTimeIsNoPauseBetweenHits() {
    Session halted =
        TestSessions.of(
            1,
            tape -> {
              tape.status(DayTime.of(10, 5), 0, kelvo.tape.TradingState.HALTED, "T1");
              tape.status(DayTime.of(10, 35), 0, kelvo.tape.TradingState.TRADING, "");
            });
    Hit hit = HITS.getFirst();
    Hit later =
        new Hit(
            1,
            hit.scan(),
            hit.version(),
            hit.side(),
            0,
            hit.symbol(),
            DayTime.of(10, 40),
            Trigger.ENTERS,
            hit.price(),
            hit.fields());

    assertThat(Moves.of(halted, List.of(hit, later), 15 * DayTime.MINUTE, DayTime.LAST)).hasSize(1);
    assertThat(Moves.of(SESSION, List.of(hit, later), 15 * DayTime.MINUTE, DayTime.LAST))
        .hasSize(2);
  }
}
