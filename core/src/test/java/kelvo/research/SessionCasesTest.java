package kelvo.research;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import kelvo.history.DailyBar;
import kelvo.hit.Hit;
import kelvo.hit.Program;
import kelvo.hit.RandomSessions;
import kelvo.hit.ScanEngine;
import kelvo.hit.TapeCopy;
import kelvo.hit.TestSessions;
import kelvo.job.Progress;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.tape.SaleCondition;
import kelvo.tape.TradingState;
import kelvo.time.DayTime;
import kelvo.trade.Fees;
import kelvo.trigger.Trigger;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class SessionCasesTest {
  private static final Offset<Double> EXACT = within(1e-9);
  private static final Question.Costs FREE =
      new Question.Costs(Fees.NONE, Question.Costs.USUAL_POSITION);
  private static final CaseMoment FIRST_HIT = new CaseMoment.FirstHit(DayTime.FIRST);

  /** Its hit is the print at $11. */
  private static final Scan OVER_ELEVEN =
      TestSessions.scan("over eleven", List.of(Trigger.ENTERS), "price at least 11");

  private static void print(EventTape tape, int minute, int second, double dollars) {
    tape.trade(
        DayTime.of(10, minute) + second * DayTime.SECOND,
        0,
        Math.round(dollars * 10_000),
        100,
        SaleCondition.REGULAR.bit(),
        tape.size() + 1);
  }

  /** A hit at 10:00:10, the next print at 10:00:20, then one a minute. */
  private static void usual(EventTape tape) {
    print(tape, 0, 0, 10);
    tape.quote(DayTime.of(10, 0) + 5 * DayTime.SECOND, 0, 109_500, 100, 110_500, 100);
    print(tape, 0, 10, 11);
    print(tape, 0, 20, 11);
    print(tape, 3, 0, 12);
    print(tape, 4, 0, 10.5);
    print(tape, 6, 0, 11.55);
    print(tape, 30, 0, 13);
  }

  private static List<ResearchCase> cases(
      Consumer<EventTape> filler, CaseMoment moment, Direction direction, LaterDays later) {
    return cases(filler, new Question(OVER_ELEVEN, moment, direction, FREE), later);
  }

  private static List<ResearchCase> cases(
      Consumer<EventTape> filler, Question question, LaterDays later) {
    return SessionCases.of(
        TestSessions.of(2, filler), question, later, () -> UsualSpreads.NONE, Progress.NONE);
  }

  private static ResearchCase only(List<ResearchCase> cases) {
    assertThat(cases).hasSize(1);
    return cases.getFirst();
  }

  @Test
  void oneBuysAtTheNextPrintAndPaysHalfOfTheSpread() {
    ResearchCase one =
        only(cases(SessionCasesTest::usual, FIRST_HIT, Direction.LONG, LaterDays.NONE));

    assertThat(one.at()).isEqualTo(DayTime.of(10, 0) + 10 * DayTime.SECOND);
    assertThat(one.enteredAt()).isEqualTo(DayTime.of(10, 0) + 20 * DayTime.SECOND);
    assertThat(one.entry()).isCloseTo(11.05, EXACT);
    assertThat(one.spreadAssumed()).isFalse();
    assertThat(one.result(Held.FIVE_MINUTES)).isCloseTo(10.5 / 11.05 - 1, EXACT);
    assertThat(one.result(Held.QUARTER_HOUR)).isCloseTo(11.55 / 11.05 - 1, EXACT);
    assertThat(one.best().get(Held.FIVE_MINUTES.ordinal())).isCloseTo(12 / 11.05 - 1, EXACT);
    assertThat(one.worst().get(Held.FIVE_MINUTES.ordinal())).isCloseTo(10.5 / 11.05 - 1, EXACT);
    assertThat(one.result(Held.CLOSE)).isCloseTo(13 / 11.05 - 1, EXACT);
    assertThat(one.result(Held.NEXT_OPEN)).isNaN();
  }

  @Test
  void itIsTimedHowSoonOneIsSoFarAheadAndBehind() {
    ResearchCase one =
        only(cases(SessionCasesTest::usual, FIRST_HIT, Direction.LONG, LaterDays.NONE));

    // In at 11.05 at 10:00:20; 12 at 10:03 is more than 5% ahead, 10.50 at 10:04 4.98% behind.
    assertThat(one.timeTo(Reach.FIVE)).isEqualTo(new TimeTo(160 * DayTime.SECOND, TimeTo.NEVER));
    assertThat(one.timeTo(Reach.TWO).loss()).isEqualTo(220 * DayTime.SECOND);
    assertThat(one.timeTo(Reach.TWENTY).first()).isEqualTo(TimeTo.First.NEITHER);
  }

  @Test
  void oneSellsShortLowerAndWinsWhatItFalls() {
    ResearchCase one =
        only(cases(SessionCasesTest::usual, FIRST_HIT, Direction.SHORT, LaterDays.NONE));

    assertThat(one.entry()).isCloseTo(10.95, EXACT);
    assertThat(one.result(Held.FIVE_MINUTES)).isCloseTo(1 - 10.5 / 10.95, EXACT);
    assertThat(one.worst().get(Held.FIVE_MINUTES.ordinal())).isCloseTo(1 - 12 / 10.95, EXACT);
  }

  @Test
  void withoutAQuoteOneTickStandsForTheSpread() {
    ResearchCase one =
        only(
            cases(
                tape -> {
                  print(tape, 0, 0, 11);
                  print(tape, 1, 0, 11);
                },
                FIRST_HIT,
                Direction.LONG,
                LaterDays.NONE));

    assertThat(one.spreadAssumed()).isTrue();
    assertThat(one.entry()).isCloseTo(11.005, EXACT);
  }

  @Test
  void theUsualSpreadOfThatHourStandsForItWhenItIsMoreThanATick() {
    EventTape quotes = new EventTape(2);
    quotes.quote(DayTime.of(10, 30), 0, 110_000, 100, 110_800, 100);
    UsualSpreads usual =
        UsualSpreads.of(List.of("AAAAAA", "BBBBBB"), List.of(SessionSpreads.of(quotes, 2)));

    ResearchCase one =
        only(
            SessionCases.of(
                TestSessions.of(
                    2,
                    tape -> {
                      print(tape, 0, 0, 11);
                      print(tape, 1, 0, 11);
                    }),
                new Question(OVER_ELEVEN, FIRST_HIT, Direction.LONG, FREE),
                LaterDays.NONE,
                () -> usual,
                Progress.NONE));

    assertThat(one.spreadAssumed()).isTrue();
    assertThat(one.entry()).isCloseTo(11.04, EXACT);
  }

  @Test
  void feesAreTakenOffBothWays() {
    Fees fees = new Fees(new BigDecimal("0.005"), new BigDecimal("1"));
    Question question =
        new Question(OVER_ELEVEN, FIRST_HIT, Direction.LONG, new Question.Costs(fees, 11_050));

    ResearchCase one = only(cases(SessionCasesTest::usual, question, LaterDays.NONE));

    // 1,000 shares: $5 and $1, twice.
    assertThat(one.result(Held.FIVE_MINUTES)).isCloseTo(10.5 / 11.05 - 1 - 12 / 11_050.0, EXACT);
  }

  @Test
  void whoIsHaltedGetsOutAtTheFirstPrintAfterIt() {
    ResearchCase one =
        only(
            cases(
                tape -> {
                  print(tape, 0, 0, 11);
                  print(tape, 1, 0, 11);
                  print(tape, 2, 0, 12);
                  tape.status(DayTime.of(10, 4), 0, TradingState.HALTED, "LUDP");
                  tape.status(DayTime.of(10, 9), 0, TradingState.TRADING, "");
                  print(tape, 9, 1, 8);
                  print(tape, 9, 2, 9);
                },
                FIRST_HIT,
                Direction.LONG,
                LaterDays.NONE));

    assertThat(one.result(Held.FIVE_MINUTES)).isCloseTo(8 / 11.005 - 1, EXACT);
    assertThat(one.worst().get(Held.FIVE_MINUTES.ordinal())).isCloseTo(8 / 11.005 - 1, EXACT);
    assertThat(one.result(Held.QUARTER_HOUR)).isCloseTo(9 / 11.005 - 1, EXACT);
  }

  @Test
  void aCancelledPrintIsNoEntry() {
    ResearchCase one =
        only(
            cases(
                tape -> {
                  print(tape, 0, 0, 11);
                  print(tape, 1, 0, 20);
                  print(tape, 2, 0, 12);
                  tape.cancel(DayTime.of(10, 3), 0, 2);
                },
                FIRST_HIT,
                Direction.LONG,
                LaterDays.NONE));

    assertThat(one.entry()).isCloseTo(12.005, EXACT);
  }

  @Test
  void withoutAPrintAfterItAFindIsNoCase() {
    assertThat(cases(tape -> print(tape, 0, 0, 11), FIRST_HIT, Direction.LONG, LaterDays.NONE))
        .isEmpty();
  }

  private static LaterDays.Later traded(double open, double low, double high, double close) {
    return new LaterDays.Later(
        LaterDays.Standing.TRADED,
        new DailyBar(
            TestSessions.DATE.plusDays(1),
            Math.round(open * 10_000),
            Math.round(high * 10_000),
            Math.round(low * 10_000),
            Math.round(close * 10_000),
            1_000,
            10));
  }

  @Test
  void laterSessionsAndTheLastPriceOfWhatHasGone() {
    LaterDays later =
        (symbol, day) ->
            day == 2
                ? traded(12, 9, 14, 10)
                : new LaterDays.Later(LaterDays.Standing.GONE, traded(12, 9, 14, 10).bar());

    ResearchCase one = only(cases(SessionCasesTest::usual, FIRST_HIT, Direction.LONG, later));

    assertThat(one.result(Held.NEXT_OPEN)).isCloseTo(12 / 11.05 - 1, EXACT);
    assertThat(one.best().get(Held.NEXT_OPEN.ordinal())).isCloseTo(13 / 11.05 - 1, EXACT);
    assertThat(one.result(Held.NEXT_CLOSE)).isCloseTo(10 / 11.05 - 1, EXACT);
    assertThat(one.best().get(Held.NEXT_CLOSE.ordinal())).isCloseTo(14 / 11.05 - 1, EXACT);
    assertThat(one.worst().get(Held.NEXT_CLOSE.ordinal())).isCloseTo(9 / 11.05 - 1, EXACT);
    assertThat(one.result(Held.DAY_FIVE)).isCloseTo(10 / 11.05 - 1, EXACT);
    assertThat(one.gone()).isTrue();
  }

  @Test
  void atATimeOfDayWhateverMatchesIsACase() {
    CaseMoment at = new CaseMoment.AtTime(DayTime.of(10, 3) + 30 * DayTime.SECOND);

    ResearchCase one = only(cases(SessionCasesTest::usual, at, Direction.LONG, LaterDays.NONE));

    assertThat(one.at()).isEqualTo(DayTime.of(10, 3) + 30 * DayTime.SECOND);
    assertThat(one.enteredAt()).isEqualTo(DayTime.of(10, 4));
    assertThat(
            cases(
                SessionCasesTest::usual,
                new CaseMoment.AtTime(DayTime.of(10, 5)),
                Direction.LONG,
                LaterDays.NONE))
        .isEmpty();
  }

  @Test
  void everyMoveIsACaseOfItsOwn() {
    Consumer<EventTape> twice =
        tape -> {
          usual(tape);
          print(tape, 50, 0, 10);
          print(tape, 51, 0, 11.5);
          print(tape, 52, 0, 11.6);
        };

    assertThat(
            cases(
                twice,
                new CaseMoment.EveryMove(15 * DayTime.MINUTE),
                Direction.LONG,
                LaterDays.NONE))
        .extracting(ResearchCase::at)
        .containsExactly(DayTime.of(10, 0) + 10 * DayTime.SECOND, DayTime.of(10, 51));
    assertThat(cases(twice, FIRST_HIT, Direction.LONG, LaterDays.NONE)).hasSize(1);
    assertThat(
            cases(
                twice, new CaseMoment.FirstHit(DayTime.of(10, 1)), Direction.LONG, LaterDays.NONE))
        .extracting(ResearchCase::at)
        .containsExactly(DayTime.of(10, 6));
  }

  private static final Scan BUSY =
      TestSessions.scan(
          "busy", List.of(Trigger.parse("new high of session").getFirst()), "volume at least 20K");

  @Test
  void theMomentsAreTheHitsOfTheEngine() {
    Session session = RandomSessions.of(7, 6, 12_000);
    Set<String> expected = new TreeSet<>();
    Set<Integer> seen = new TreeSet<>();
    ScanEngine.replay(
            session,
            new Program(List.of(BUSY), List.of()),
            (Hit hit) -> {
              if (seen.add(hit.security())) {
                expected.add(hit.symbol() + " " + hit.at());
              }
            })
        .runTo(DayTime.LAST);

    List<ResearchCase> cases =
        SessionCases.of(
            session,
            new Question(BUSY, FIRST_HIT, Direction.LONG, FREE),
            LaterDays.NONE,
            () -> UsualSpreads.NONE,
            Progress.NONE);

    assertThat(cases)
        .extracting(one -> one.symbol() + " " + one.at())
        .containsExactlyInAnyOrderElementsOf(expected)
        .hasSizeGreaterThan(3);
  }

  /** What is said of a moment is the same when the session is cut right after the entry. */
  @Test
  void nothingIsKnownBeforeItsTime() {
    Session whole = RandomSessions.of(8, 6, 12_000);
    Question question = new Question(BUSY, FIRST_HIT, Direction.LONG, FREE);
    List<ResearchCase> all =
        SessionCases.of(whole, question, LaterDays.NONE, () -> UsualSpreads.NONE, Progress.NONE);
    assertThat(all).hasSizeGreaterThan(3);
    for (ResearchCase one : all) {
      EventTape cut = new EventTape(whole.securities().size());
      for (int i = 0; i < whole.tape().size() && whole.tape().time(i) <= one.enteredAt(); i++) {
        TapeCopy.event(whole.tape(), i, cut);
      }
      Session then =
          new Session(
                  whole.hours(),
                  whole.phases(),
                  whole.securities(),
                  whole.catalysts(),
                  whole.knownEvents(),
                  cut)
              .with(whole.earlier());
      List<ResearchCase> known = new ArrayList<>();
      SessionCases.of(then, question, LaterDays.NONE, () -> UsualSpreads.NONE, Progress.NONE)
          .stream()
          .filter(other -> other.symbol().equals(one.symbol()))
          .forEach(known::add);

      assertThat(known).hasSize(1);
      assertThat(known.getFirst().at()).isEqualTo(one.at());
      assertThat(known.getFirst().cells()).isEqualTo(one.cells());
      assertThat(known.getFirst().enteredAt()).isEqualTo(one.enteredAt());
    }
  }
}
