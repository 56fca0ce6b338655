package kelvo.research.bars;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kelvo.history.DailyBar;
import kelvo.hit.TestSessions;
import kelvo.news.Catalyst;
import kelvo.research.CaseMoment;
import kelvo.research.Cut;
import kelvo.research.Direction;
import kelvo.research.Held;
import kelvo.research.LaterDays;
import kelvo.research.Question;
import kelvo.research.Reach;
import kelvo.research.ResearchCase;
import kelvo.research.TimeTo;
import kelvo.research.UsualSpreads;
import kelvo.research.bars.MinuteTape.Bar;
import kelvo.scan.Scan;
import kelvo.session.Session;
import kelvo.tape.EventTape;
import kelvo.time.DayTime;
import kelvo.trade.Fees;
import kelvo.trigger.Trigger;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class BarCasesTest {
  private static final Offset<Double> EXACT = within(1e-9);
  private static final Question.Costs FREE = new Question.Costs(Fees.NONE, 10_000);
  private static final CaseMoment FIRST_HIT = new CaseMoment.FirstHit(DayTime.FIRST);

  /** AAAAAA passes $11 in the minute of 10:00. */
  private static final List<Bar> RISE =
      List.of(
          Bar.at(0, "09:30", 10, 1_000),
          new Bar(0, "10:00", 10.5, 11.2, 10.4, 11, 5_000),
          new Bar(0, "10:02", 11.1, 11.5, 11.0, 11.4, 2_000),
          new Bar(0, "10:06", 11.4, 12, 11.3, 11.9, 2_000),
          new Bar(0, "10:07", 11.9, 11.9, 10.2, 10.3, 2_000),
          new Bar(0, "15:59", 10.3, 10.9, 10.3, 10.8, 9_000),
          Bar.at(0, "16:10", 10.6, 500));

  private static Question question(Scan scan, CaseMoment moment, Direction direction) {
    return new Question(scan, moment, direction, FREE);
  }

  private static Scan overEleven(Trigger... triggers) {
    return TestSessions.scan("over eleven", List.of(triggers), "price at least 11");
  }

  private static List<ResearchCase> cases(List<Bar> bars, Question question) {
    return BarCases.of(MinuteTape.session(2, bars), question, LaterDays.NONE, UsualSpreads.NONE);
  }

  @Test
  void oneBuysAtTheOpenOfTheNextBarWithHalfATick() {
    List<ResearchCase> cases =
        cases(RISE, question(overEleven(Trigger.ENTERS), FIRST_HIT, Direction.LONG));

    assertThat(cases).hasSize(1);
    ResearchCase one = cases.getFirst();
    assertThat(one.at()).isEqualTo(DayTime.of(10, 1));
    assertThat(one.enteredAt()).isEqualTo(DayTime.of(10, 2));
    assertThat(one.entry()).isCloseTo(11.105, EXACT);
    assertThat(one.spreadAssumed()).isTrue();
  }

  @Test
  void whatAMinuteReachesCountsAtItsEnd() {
    ResearchCase one =
        cases(RISE, question(overEleven(Trigger.ENTERS), FIRST_HIT, Direction.LONG)).getFirst();

    // In at 11.105 at 10:02; the high of that minute is 11.50, the low of 10:07 is 10.20.
    assertThat(one.timeTo(Reach.TWO)).isEqualTo(new TimeTo(DayTime.MINUTE, 6 * DayTime.MINUTE));
    assertThat(one.timeTo(Reach.TEN)).isEqualTo(new TimeTo(TimeTo.NEVER, TimeTo.NEVER));
  }

  @Test
  void oneGetsOutAtTheCloseOfTheLastBarThatHadEnded() {
    ResearchCase one =
        cases(RISE, question(overEleven(Trigger.ENTERS), FIRST_HIT, Direction.LONG)).getFirst();

    // Until 10:07 the bars of 10:02 and 10:06 have ended, until the quarter that of 10:07.
    assertThat(one.result(Held.FIVE_MINUTES)).isCloseTo(11.9 / 11.105 - 1, EXACT);
    assertThat(one.best().get(Held.FIVE_MINUTES.ordinal())).isCloseTo(12 / 11.105 - 1, EXACT);
    assertThat(one.result(Held.QUARTER_HOUR)).isCloseTo(10.3 / 11.105 - 1, EXACT);
    assertThat(one.worst().get(Held.QUARTER_HOUR.ordinal())).isCloseTo(10.2 / 11.105 - 1, EXACT);
    assertThat(one.result(Held.CLOSE)).isCloseTo(10.8 / 11.105 - 1, EXACT);
    assertThat(one.result(Held.NEXT_OPEN)).isNaN();
  }

  @Test
  void laterDaysComeFromTheDailyBars() {
    LaterDays gone =
        (symbol, day) ->
            day == 2
                ? new LaterDays.Later(
                    LaterDays.Standing.TRADED,
                    new DailyBar(
                        TestSessions.DATE.plusDays(1), 120_000, 125_000, 90_000, 95_000, 1, 1))
                : new LaterDays.Later(LaterDays.Standing.GONE, null);

    ResearchCase one =
        BarCases.of(
                MinuteTape.session(2, RISE),
                question(overEleven(Trigger.ENTERS), FIRST_HIT, Direction.SHORT),
                gone,
                UsualSpreads.NONE)
            .getFirst();

    assertThat(one.entry()).isCloseTo(11.095, EXACT);
    assertThat(one.result(Held.NEXT_OPEN)).isCloseTo(1 - 12 / 11.095, EXACT);
    assertThat(one.result(Held.NEXT_CLOSE)).isCloseTo(1 - 9.5 / 11.095, EXACT);
    // It ended: its last bar counts, that of the evening.
    assertThat(one.result(Held.DAY_FIVE)).isCloseTo(1 - 10.6 / 11.095, EXACT);
    assertThat(one.gone()).isTrue();
  }

  @Test
  void aNewExtremeIsABarThatPassesThoseBefore() {
    List<ResearchCase> cases =
        cases(
            RISE,
            question(
                overEleven(Trigger.NEW_HIGH_OF_DAY), new CaseMoment.EveryMove(0), Direction.LONG));

    assertThat(cases.stream().map(one -> DayTime.minutes(one.at())).toList())
        .containsExactly("10:01", "10:03", "10:07");
  }

  @Test
  void aMoveEndsWithAPause() {
    List<ResearchCase> cases =
        cases(
            RISE,
            question(
                overEleven(Trigger.NEW_HIGH_OF_DAY),
                new CaseMoment.EveryMove(2 * DayTime.MINUTE),
                Direction.LONG));

    assertThat(cases.stream().map(one -> DayTime.minutes(one.at())).toList())
        .containsExactly("10:01", "10:07");
  }

  @Test
  void whoEntersAfterTheLastBarIsNoCase() {
    assertThat(
            cases(
                List.of(Bar.at(0, "10:00", 12, 100)),
                question(overEleven(Trigger.ENTERS), FIRST_HIT, Direction.LONG)))
        .isEmpty();
  }

  @Test
  void newsCountsFromTheMinuteInWhichItIsKnown() {
    Session known =
        new Session(
            TestSessions.of(1, tape -> {}).hours(),
            TestSessions.of(1, tape -> {}).phases(),
            TestSessions.of(1, tape -> {}).securities(),
            List.of(
                new Catalyst(
                        DayTime.of(9, 58),
                        "Harbour Wire",
                        "AAAAAA Works beats estimates, earnings up",
                        "",
                        List.of("AAAAAA"))
                    .knownAt(DayTime.of(10, 3))),
            List.of(),
            new EventTape(1));
    BarSession session = MinuteTape.session(known, MinuteTape.minutes(1, RISE));
    Scan earnings =
        TestSessions.scan("earnings", List.of(Trigger.ENTERS), "news category is earnings");

    List<ResearchCase> cases =
        BarCases.of(
            session,
            question(earnings, FIRST_HIT, Direction.LONG),
            LaterDays.NONE,
            UsualSpreads.NONE);

    assertThat(cases.stream().map(one -> DayTime.minutes(one.at())).toList())
        .containsExactly("10:03");
    assertThat(cases.getFirst().cells()).containsEntry(Cut.CATALYST, "earnings");
  }

  @Test
  void whatBarsCannotTellIsRefusedByItsRule() {
    Question question =
        question(
            TestSessions.scan(
                "burst", List.of(Trigger.ENTERS), "price at least 1", "volume burst at least 5x"),
            FIRST_HIT,
            Direction.LONG);

    assertThat(BarCases.untold(question)).contains("rule \"volume burst at least 5x\"");
    assertThatThrownBy(() -> cases(RISE, question)).hasMessageContaining("volume burst");
  }

  @Test
  void aTriggerThatHappensWithinAMinuteIsRefused() {
    assertThat(
            BarCases.untold(
                question(overEleven(Trigger.RISES_THROUGH_VWAP), FIRST_HIT, Direction.LONG)))
        .contains("trigger \"rises through vwap\"");
    assertThat(
            BarCases.untold(
                question(
                    overEleven(Trigger.RISES_THROUGH_VWAP), CaseMoment.At.OPEN, Direction.LONG)))
        .isEmpty();
  }
}
