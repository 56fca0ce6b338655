package kelvo.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import kelvo.hit.Hit;
import kelvo.hit.TestSessions;
import kelvo.journal.Choice;
import kelvo.journal.DayBook;
import kelvo.journal.Decision;
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.statistics.WilsonInterval;
import kelvo.time.DayTime;
import kelvo.trade.Fill;
import kelvo.trade.TestFills;
import kelvo.watchlist.Watchlist;
import org.junit.jupiter.api.Test;

/** The circumstances of a trade, and what became of what was decided. */
class TradeContextTest {
  private static final Scan SCAN = TestSessions.scan("risers", List.of(), "change % at least 5%");
  private static final Scan ALERT =
      TestSessions.scan("an alert", List.of(), "change % at least 1%");
  private static final Session SESSION =
      TestSessions.of(
          2,
          tape -> {
            tape.quote(DayTime.parse("09:59:00"), 0, 99_800, 100, 100_200, 100);
            TestSessions.print(tape, "09:59:30", 0, 10.00);
            TestSessions.print(tape, "10:00:00", 0, 10.20);
            tape.quote(DayTime.parse("10:01:00"), 0, 101_900, 100, 102_100, 100);
            TestSessions.print(tape, "10:02:00", 0, 10.20);
            tape.quote(DayTime.parse("10:09:00"), 0, 103_800, 100, 104_200, 100);
            TestSessions.print(tape, "10:10:00", 0, 10.40);
            TestSessions.print(tape, "10:20:00", 0, 9.80);
          });

  private static DayReview review(DayBook book, String until) {
    List<Hit> hits = TestSessions.hits(SESSION, ALERT);
    return DayReview.of(
        SESSION, List.of(SCAN), hits, book, ReviewSettings.DEFAULT, DayTime.parse(until));
  }

  private static TradeContext context(String... fills) {
    List<Fill> all = java.util.Arrays.stream(fills).map(TestFills::fill).toList();
    return review(DayBook.EMPTY.withFills(all), "16:00").trades().getFirst().context();
  }

  /** Bought at 10.21 with 10.20 in the middle, sold at 10.38 with 10.40: a cent and two cents. */
  @Test
  void theSpreadIsWhatFillsPaidBeyondTheMiddle() {
    assertThat(
            context("10:03:00 AAAAAA buy 100 10.21", "10:10:00 AAAAAA sell 100 10.38").spreadCost())
        .isCloseTo(100 * 0.01 + 100 * 0.02, within(1e-9));
    assertThat(
            context("10:03:00 AAAAAA buy 100 10.19", "10:10:00 AAAAAA sell 100 10.40").spreadCost())
        .as("filled inside")
        .isCloseTo(-1, within(1e-9));
  }

  @Test
  void withoutAQuoteTheSpreadIsUnknown() {
    assertThat(
            context("09:58:00 AAAAAA buy 100 10.00", "10:10:00 AAAAAA sell 100 10.40").spreadCost())
        .isNaN();
  }

  /** Prints of the tests are of 1,000 shares: two of them in the five minutes before 10:02:30. */
  @Test
  void sizeIsHeldAgainstTheVolumeOfTheFiveMinutesBefore() {
    double share =
        context("10:02:30 AAAAAA buy 300 10.20", "10:10:00 AAAAAA sell 300 10.40").volumeShare();
    long printed = 3 * SESSION.tape().shares(SESSION.tape().firstOfSymbol(0) + 1);

    assertThat(share).isCloseTo(300.0 / printed, within(1e-9));
  }

  @Test
  void theAlertThatRangLastIsNamedForAWhile() {
    assertThat(context("10:03:00 AAAAAA buy 100 10.21", "10:10:00 AAAAAA sell 100 10.38").alert())
        .isEqualTo("an alert");
    assertThat(context("10:19:00 AAAAAA buy 100 10.21", "10:20:00 AAAAAA sell 100 10.38").alert())
        .isEmpty();
  }

  @Test
  void whatWasDroppedSaysWhatItDid() {
    Decision drop =
        new Decision("AAAAAA", DayTime.parse("09:59:45"), Choice.DROP, "thin", Side.UP, "", "");
    Decision again =
        new Decision(
            "AAAAAA", DayTime.parse("10:05:00"), Choice.DROP, "thin", Side.UP, "later", "");
    DayBook book = DayBook.EMPTY.with(drop).with(again);

    DecisionReview dropped =
        DecisionReview.of(SESSION, book, List.of(), review(book, "16:00")).getFirst();

    assertThat(dropped.since()).as("another word on it is no new choice").isEqualTo(drop.at());
    assertThat(dropped.over(Horizon.QUARTER_HOUR).best())
        .isCloseTo(100 * 0.20 / 10.20, within(1e-9));
    assertThat(dropped.over(Horizon.TO_CLOSE).worst()).isCloseTo(100 * -0.40 / 10.20, within(1e-9));
    assertThat(dropped.trades()).isEmpty();
  }

  @Test
  void whatADecisionDidIsUnknownUntilItsTimeHasPassed() {
    Decision keep =
        new Decision("AAAAAA", DayTime.parse("10:00:30"), Choice.KEEP, "news", Side.UP, "", "");
    DayBook book = DayBook.EMPTY.with(keep);

    DecisionReview early =
        DecisionReview.of(SESSION, book, List.of(), review(book, "10:06")).getFirst();

    assertThat(early.over(Horizon.FIVE_MINUTES).best()).isNotNaN();
    assertThat(early.over(Horizon.QUARTER_HOUR).best()).isNaN();
  }

  @Test
  void whoOnlyStoodOnAListIsThereToo() {
    Watchlist own = Watchlist.of("leaders", List.of("BBBBBB", "NOSUCH"));
    Decision keep =
        new Decision("AAAAAA", DayTime.parse("09:00:00"), Choice.KEEP, "news", Side.UP, "", "");
    DayBook book = DayBook.EMPTY.with(keep);

    assertThat(DecisionReview.of(SESSION, book, List.of(own), review(book, "16:00")))
        .extracting(
            one -> one.decision().symbol(), one -> one.decision().choice(), DecisionReview::lists)
        .containsExactly(
            tuple("AAAAAA", Choice.KEEP, List.of()),
            tuple("BBBBBB", Choice.UNDECIDED, List.of("leaders")));
  }

  @Test
  void anAlertIsHeldAgainstWhatItRangFor() {
    List<Fill> fills =
        List.of(
            TestFills.fill("10:03:00 AAAAAA buy 100 10.21"),
            TestFills.fill("10:10:00 AAAAAA sell 100 10.38"));
    DayReview review = review(DayBook.EMPTY.withFills(fills), "16:00");

    assertThat(review.alerts())
        .singleElement()
        .matches(alert -> alert.scan().equals("an alert"))
        .matches(alert -> alert.hits() == 1 && alert.moves() == 1 && alert.known() == 1)
        .matches(alert -> alert.trades() == 1 && Math.abs(alert.net() - 17) < 1e-9);
    assertThat(review.scans()).extracting(ScanTotals::scan).containsExactly("risers");
    assertThat(
            ScanTotals.ofAlertOver("an alert", Collections.nCopies(3, review.alerts().getFirst())))
        .matches(alert -> alert.hits() == 3 && alert.moves() == 3 && alert.known() == 3)
        .matches(alert -> alert.trades() == 3 && Math.abs(alert.net() - 51) < 1e-9)
        .matches(alert -> alert.interval().equals(WilsonInterval.of(alert.ran(), 3)));
  }

  @Test
  void movesAreCountedForEachListOfTheirSymbol() {
    DayReview review =
        DayReview.of(
            SESSION,
            List.of(ALERT),
            TestSessions.hits(SESSION, ALERT),
            DayBook.EMPTY,
            ReviewSettings.DEFAULT,
            DayTime.of(16, 0));
    List<Watchlist> lists =
        List.of(
            Watchlist.of("leaders", List.of("AAAAAA")), Watchlist.of("others", List.of("BBBBBB")));

    assertThat(MoveGroup.byList(review.moves(), lists))
        .extracting(MoveGroup::name, MoveGroup::moves)
        .containsExactly(tuple("leaders", review.moves().size()));
  }

  @Test
  void tradesAreToldApartByWhetherThePlanWasKept() {
    assertThat(planOf(Choice.KEEP, Side.UP, "at the open")).isEqualTo("on the Ten");
    assertThat(planOf(Choice.KEEP, Side.DOWN, "later")).isEqualTo("on the Ten, other side");
    assertThat(planOf(Choice.KEEP, Side.UP, "only watch")).isEqualTo("on the Ten, only to watch");
    assertThat(planOf(Choice.DROP, Side.UP, "later")).isEqualTo("not on the Ten");
  }

  @Test
  void aTradeLargerThanItsPlanDidNotKeepIt() {
    assertThat(planOf("over 10.20, 100 shares")).isEqualTo("on the Ten");
    assertThat(planOf("over 10.20, 99 Shares")).isEqualTo("on the Ten, larger than planned");
    assertThat(planOf("1 share now")).isEqualTo("on the Ten, larger than planned");
    assertThat(planOf("1,000 shares")).isEqualTo("on the Ten");
    assertThat(planOf("over 10.20, no more than 50")).isEqualTo("on the Ten");
  }

  private static String planOf(String plan) {
    return planOf(Choice.KEEP, Side.UP, "later", plan);
  }

  private static String planOf(Choice choice, Side side, String bucket) {
    return planOf(choice, side, bucket, "");
  }

  private static String planOf(Choice choice, Side side, String bucket, String plan) {
    Decision decision =
        new Decision("AAAAAA", DayTime.parse("09:00:00"), choice, "news", side, bucket, plan);
    DayBook book =
        DayBook.EMPTY
            .with(decision)
            .withFills(
                List.of(
                    TestFills.fill("10:03:00 AAAAAA buy 100 10.21"),
                    TestFills.fill("10:10:00 AAAAAA sell 100 10.38")));
    return TradeGroup.of(review(book, "16:00").trades(), TradeGrouping.PLANNED).getFirst().name();
  }
}
