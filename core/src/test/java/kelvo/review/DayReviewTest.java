package kelvo.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kelvo.hit.Hit;
import kelvo.hit.LevelHits;
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
import kelvo.trade.TestFills;
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
    return TestFills.fill(time + " AAAAAA " + side.word() + " 100 " + price);
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
    assertThat(outcome.over(Horizon.TO_CLOSE).worst())
        .isCloseTo(100 * (9.00 - 10.60) / 10.60, within(1e-9));
    assertThat(outcome.goneShare()).isCloseTo(0.5 / 2.0, within(1e-9));
    assertThat(outcome.ran()).isEqualTo(Outcome.Ran.YES);
  }

  @Test
  void nothingAfterTheMomentOfTheQuestionIsUsed() {
    DayReview early = review(trading("10:01:00", 10.60, "10:20:00", 12.00), "10:05");

    assertThat(early.moves()).hasSize(1);
    assertThat(early.trades().getFirst().trade().closed()).isFalse();
    assertThat(early.all().trades()).isZero();
  }

  @Test
  void anOutcomeIsUnknownUntilItsTimeHasPassed() {
    Outcome early = review(DayBook.EMPTY, "10:29").moves().getFirst().outcome();
    Outcome then = review(DayBook.EMPTY, "10:30").moves().getFirst().outcome();

    assertThat(early.ran()).isEqualTo(Outcome.Ran.UNKNOWN);
    assertThat(early.halfHour().best()).isNaN();
    assertThat(early.goneShare()).isNaN();
    assertThat(early.over(Horizon.FIVE_MINUTES).best()).as("over since 10:05").isZero();
    assertThat(then.ran()).isEqualTo(Outcome.Ran.YES);
    assertThat(then.halfHour().best()).isCloseTo(100 * 1.40 / 10.60, within(1e-9));
    assertThat(then.over(Horizon.TO_CLOSE).best()).isNaN();
    ScanTotals undecided = review(DayBook.EMPTY, "10:29").scans().getFirst();
    assertThat(undecided.moves()).isEqualTo(1);
    assertThat(undecided.known()).isZero();
  }

  @Test
  void theCloseEndsAnOutcomeAndNothingAfterItCounts() {
    Session evening =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "15:40:00", 10.00);
              print(tape, "15:50:00", 10.60);
              print(tape, "15:50:10", 10.60);
              print(tape, "15:59:00", 10.70);
              print(tape, "16:05:00", 14.00);
            });
    DayReview review =
        DayReview.of(
            evening,
            List.of(RISERS),
            TestSessions.hits(evening, RISERS),
            DayBook.EMPTY,
            ReviewSettings.DEFAULT,
            DayTime.of(16, 30));

    assertThat(review.moves().getFirst().outcome().halfHour().best())
        .isCloseTo(100 * 0.10 / 10.60, within(1e-9));
  }

  @Test
  void aMoveThatNeverWentFurtherWasAllGone() {
    Session over =
        TestSessions.of(
            1,
            tape -> {
              print(tape, "09:50:00", 10.00);
              print(tape, "10:00:00", 10.60);
              print(tape, "10:00:10", 10.30);
              print(tape, "10:20:00", 9.90);
            });
    DayReview review =
        DayReview.of(
            over,
            List.of(RISERS),
            TestSessions.hits(over, RISERS),
            DayBook.EMPTY,
            ReviewSettings.DEFAULT,
            DayTime.of(16, 0));

    assertThat(review.moves().getFirst().outcome().goneShare()).isEqualTo(1);
  }

  /** A hit of a scan on the first security. */
  private static Hit hit(int number, String scan, long at) {
    Hit like = HITS.getFirst();
    return new Hit(
        number,
        scan,
        like.version(),
        Side.UP,
        0,
        like.symbol(),
        at,
        Trigger.ENTERS,
        like.price(),
        like.fields());
  }

  @Test
  void aTradeIsCreditedOnceToTheScanWhoseHitItFollowed() {
    Scan second = TestSessions.scan("second", List.of());
    Scan third = TestSessions.scan("third", List.of());
    List<Hit> hits =
        List.of(
            hit(0, "risers", DayTime.of(10, 0)),
            hit(1, "second", DayTime.of(10, 1)),
            hit(2, "third", DayTime.of(10, 5)));
    DayReview review =
        DayReview.of(
            SESSION,
            List.of(RISERS, second, third),
            hits,
            trading("10:02:00", 10.60, "10:20:00", 12.00),
            ReviewSettings.DEFAULT,
            DayTime.of(16, 0));

    assertThat(review.trades().getFirst().scan()).isEqualTo("second");
    assertThat(review.scans()).extracting(ScanTotals::trades).containsExactly(0, 1, 0);
    assertThat(review.scans()).extracting(ScanTotals::net).containsExactly(0.0, 140.0, 0.0);
  }

  @Test
  void theResultsOfAllScansAndOfTradesOffPlanAddUpToTheDays() {
    SplittableRandom random = new SplittableRandom(3);
    for (int round = 0; round < 200; round++) {
      List<Scan> scans =
          List.of(
              TestSessions.scan("risers", List.of()),
              TestSessions.scan("second", List.of()),
              TestSessions.scan("third", List.of()));
      List<Hit> hits = new ArrayList<>();
      long at = DayTime.of(9, 35);
      for (int i = 0; i < 8; i++) {
        at += random.nextLong(30 * DayTime.MINUTE);
        hits.add(hit(i, scans.get(random.nextInt(3)).name(), at));
      }
      List<Fill> fills = new ArrayList<>();
      for (int i = 0; i < 10; i++) {
        long when = DayTime.of(9, 31) + random.nextLong(6 * DayTime.HOUR);
        double price = 9 + random.nextInt(400) / 100.0;
        fills.add(fill(DayTime.seconds(when), i % 2 == 0 ? FillSide.BUY : FillSide.SELL, price));
      }
      DayReview review =
          DayReview.of(
              SESSION,
              scans,
              hits,
              DayBook.EMPTY.withFills(fills),
              ReviewSettings.DEFAULT,
              DayTime.of(16, 0));
      double byScan = review.scans().stream().mapToDouble(ScanTotals::net).sum();
      double none =
          review.trades().stream()
              .filter(trade -> trade.scan().isEmpty())
              .mapToDouble(trade -> trade.trade().result().doubleValue())
              .sum();
      double all =
          review.trades().stream().mapToDouble(trade -> trade.trade().result().doubleValue()).sum();

      assertThat(byScan + none).isCloseTo(all, within(1e-6));
    }
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
    Fill strange = TestFills.fill("10:00 ZZZZZZ buy 10 5");

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

  @Test
  void aHitOfALevelIsAHitToo() {
    Hit level = hit(0, LevelHits.LEVELS, DayTime.of(9, 44));
    DayReview review =
        DayReview.of(
            SESSION,
            List.of(RISERS),
            List.of(level),
            trading("09:45:00", 10.50, "09:50:00", 10.60),
            ReviewSettings.DEFAULT,
            DayTime.of(16, 0));

    assertThat(review.trades().getFirst().verdict()).isEqualTo(TradeVerdict.ON_A_HIT);
    assertThat(review.scans())
        .extracting(ScanTotals::scan, ScanTotals::trades)
        .containsExactly(tuple("risers", 0), tuple(LevelHits.LEVELS, 1));
  }

  @Test
  void aHitSaysWhatItsRulesAskedForThen() {
    assertThat(WhyItHit.words(HITS.getFirst(), RISERS))
        .isEqualTo("risers, enters scan: change % 5.0");
    assertThat(WhyItHit.words(HITS.getFirst().bare(), RISERS)).isEqualTo("risers, enters scan");
  }

  @Test
  void movesAreMeasuredByWhatBecameOfThem() {
    DayReview review = review(trading("10:01:00", 10.60, "10:20:00", 12.00), "16:00");

    List<MoveGroup> groups = MoveGroup.byVerdict(review.moves());

    assertThat(groups)
        .extracting(MoveGroup::name, MoveGroup::moves)
        .containsExactly(tuple("taken", 1), tuple("missed", 1));
    assertThat(groups.getFirst().best(Horizon.HALF_HOUR))
        .isEqualTo(review.moves().getFirst().outcome().halfHour().best());
  }
}
