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
import kelvo.scan.Scan;
import kelvo.scan.Side;
import kelvo.session.Session;
import kelvo.time.DayTime;
import kelvo.trade.TestFills;
import org.junit.jupiter.api.Test;

/** AAAAAA runs from 10.50 at 10:00 to 12.00; BBBBBB rises to 10.60 and falls back at once. */
class VerdictTextTest {
  private static final Scan RISERS = TestSessions.scan("risers", List.of(), "change % at least 5%");
  private static final Session SESSION =
      TestSessions.of(
          2,
          tape -> {
            TestSessions.print(tape, "09:40:00", 0, 10.00);
            TestSessions.print(tape, "09:40:00", 1, 10.00);
            TestSessions.print(tape, "10:00:00", 0, 10.50);
            TestSessions.print(tape, "10:00:10", 0, 10.60);
            TestSessions.print(tape, "10:20:00", 0, 12.00);
            TestSessions.print(tape, "10:30:00", 1, 10.60);
            TestSessions.print(tape, "10:31:00", 1, 10.60);
            TestSessions.print(tape, "10:40:00", 1, 10.00);
            TestSessions.print(tape, "15:00:00", 0, 9.00);
          });
  private static final List<Hit> HITS = TestSessions.hits(SESSION, RISERS);

  private static DayReview review(DayBook book) {
    return DayReview.of(
        SESSION, List.of(RISERS), HITS, book, ReviewSettings.DEFAULT, DayTime.of(16, 0));
  }

  private static DayBook trading(String in, String out) {
    return DayBook.EMPTY.withFills(
        List.of(
            TestFills.fill(in.replace(" ", " AAAAAA buy 100 ")),
            TestFills.fill(out.replace(" ", " AAAAAA sell 100 "))));
  }

  private static VerdictText trade(DayBook book) {
    return VerdictText.of(review(book).trades().getFirst(), ReviewSettings.DEFAULT);
  }

  private static VerdictText move(DayBook book) {
    return VerdictText.of(review(book).moves().getFirst(), ReviewSettings.DEFAULT);
  }

  @Test
  void aLateTradeSaysByHowMuchAndWhatIsAllowed() {
    VerdictText late = trade(trading("10:14:00 11.55", "10:20:00 12.00"));

    assertThat(late.verdict()).isEqualTo("late by 14 min");
    assertThat(late.because()).isEqualTo("chased +10.0%, $105");
    assertThat(late.rule())
        .isEqualTo(
            "First hit at 10:00:00 at 10.50; entered at 10:14:00 at 11.55, 10.0% beyond it and 14 min after the latest hit, of risers. "
                + "Late is over 2.0% beyond the first hit, or over 3 min after the latest and at no planned level.");
  }

  @Test
  void aSlowTradeIsNotSaidToHaveChased() {
    assertThat(trade(trading("10:05:00 10.50", "10:20:00 12.00")).because())
        .isEqualTo("long after the latest hit, at no planned level");
  }

  @Test
  void aTradeOnAHitSaysWhatItTook() {
    assertThat(trade(trading("10:01:00 10.60", "10:20:00 12.00")))
        .extracting(VerdictText::verdict, VerdictText::because)
        .containsExactly("taken", "on a hit, 93% captured");
  }

  @Test
  void aTradeOffPlanSaysWhetherItWasPlanned() {
    DayBook book = trading("09:45:00 10.10", "09:50:00 10.00");
    Decision keep = new Decision("AAAAAA", DayTime.of(9, 0), Choice.KEEP, "", Side.UP, "", "");

    assertThat(trade(book).because()).isEqualTo("no hit, not on the Ten");
    assertThat(trade(book.with(keep)).because()).isEqualTo("no hit, but on the Ten");
  }

  @Test
  void aMoveWithoutATradeSaysWhyAndWhatItDid() {
    Decision drop =
        new Decision("AAAAAA", DayTime.of(8, 41), Choice.DROP, "no news", Side.UP, "", "");
    DayBook looked =
        DayBook.EMPTY
            .with(new FocusSpan("AAAAAA", DayTime.of(10, 1), DayTime.parse("10:01:20")))
            .with(new FocusSpan("AAAAAA", DayTime.of(10, 3), DayTime.parse("10:03:21")));

    assertThat(move(DayBook.EMPTY).verdict()).isEqualTo("missed, ran +13.2%");
    assertThat(move(DayBook.EMPTY).because()).isEqualTo("first hit 10:00");
    assertThat(move(looked).because()).isEqualTo("looked at 2 times, 41 s");
    assertThat(move(looked).rule()).contains("in focus for 21 s at a time; a look counts from 5 s");
    assertThat(move(looked.with(drop)).because()).isEqualTo("“no news” at 08:41");
  }

  @Test
  void whatRanStandsBeforeWhatDidNotAndTradesBeforeBoth() {
    DayReview untraded = review(DayBook.EMPTY);
    DayReview traded =
        review(
            DayBook.EMPTY.withFills(
                List.of(
                    TestFills.fill("10:30:30 BBBBBB buy 100 10.60"),
                    TestFills.fill("10:35:00 BBBBBB sell 100 10.50"))));

    assertThat(ReviewLane.of(untraded, ReviewLane.Order.VERDICT))
        .extracting(ReviewLane::symbol)
        .containsExactly("AAAAAA", "BBBBBB");
    assertThat(ReviewLane.of(traded, ReviewLane.Order.VERDICT))
        .extracting(ReviewLane::symbol)
        .containsExactly("BBBBBB", "AAAAAA");
    assertThat(ReviewLane.of(traded, ReviewLane.Order.TIME))
        .extracting(ReviewLane::symbol)
        .containsExactly("AAAAAA", "BBBBBB");
  }

  @Test
  void theSixFiguresCountEveryTradeAndWhatRanWithoutOne() {
    SixFigures late = review(trading("10:14:00 11.55", "10:20:00 12.00")).figures();
    SixFigures none = review(DayBook.EMPTY).figures();

    assertThat(late.late()).isEqualTo(new SixFigures.Some(1, 45.0));
    assertThat(late.lateCost()).isCloseTo(105, within(1e-9));
    assertThat(late.missed().ran()).isZero();
    assertThat(none.missed().ran()).isEqualTo(1);
    assertThat(none.missed().known()).isEqualTo(2);
    assertThat(none.missed().symbol()).isEqualTo("AAAAAA");
    assertThat(none.missed().best()).isCloseTo(100 * 1.40 / 10.60, within(1e-9));
  }
}
